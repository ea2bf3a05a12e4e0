<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\FlatWindows;
use KeepPace\Core\Scheduling\Net\Net;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Simulated annealing (Kirkpatrick, Gelatt and Vecchi, Science 220 (1983)) for total weighted tardiness over one linear
 * order of
 * all operations, each put behind the others of its work centre on the machine that is free last among those free in
 * time.
 * Moves: an operation on the critical path of a late job before one that stands ahead of it on its work centre, or that
 * one
 * behind it, with what must go along in between (after Kreipl, Journal of Scheduling 3 (2000), and the insertions of
 * Balas and
 * Vazacopoulos, Management Science 44 (1998)); and now and then the rest of a whole job (JobMove). Only what changes is
 * worked out again, and is put back if the move is refused.
 */
final class Walk implements Cooler
{
    /** A move is given up when it costs more than this times what the late job it is made for could win. */
    private const HOPE = 1.5;

    /** Of 128 moves: so many rush a job, and so many let one yield. */
    private const RUSH = 5;

    private const YIELD = 20;

    private readonly FlatWindows $flat;

    private readonly JobMove $jobMove;

    private readonly Randomizer $random;

    /** @var list<int> by job */
    private array $weight = [];

    /** @var array<int, bool> by operation: it stays where it is */
    private array $fixed;

    /**
     * @param  list<int>  $fixed  operations that are not moved; they come first in every order given
     * @param  array<int, int>  $was  by operation: where it was planned to start
     * @param  int  $movedWeight  what each step that starts elsewhere costs, in weighted minutes late
     */
    public function __construct(
        private readonly Net $net,
        int $seed,
        array $fixed = [],
        private readonly array $was = [],
        private readonly int $movedWeight = 0,
    ) {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->flat = new FlatWindows($net);
        $this->jobMove = new JobMove($net);
        $this->fixed = array_fill(0, $net->count, false);
        foreach ($fixed as $operation) {
            $this->fixed[$operation] = true;
        }
        foreach ($net->jobs as $job) {
            $this->weight[] = isset($net->unplaced[$job->id]) || $job->due === null ? 0 : $job->weight;
        }
    }

    public function cool(array $at, int $iterations, float $hot, float $cold, callable $goOn): Found
    {
        // plain local lists: this loop is where the time goes
        $net = $this->net;
        $count = $net->count;
        [$centre, $work, $ahead, $release, $before, $after] = [
            $net->centre,
            $net->work,
            $net->ahead,
            $net->release,
            $net->before,
            $net->after,
        ];
        [$tails, $due, $weight, $machines, $fixed, $was, $movedWeight] = [
            $net->tails,
            $net->due,
            $this->weight,
            $net->machines,
            $this->fixed,
            $this->was,
            $this->movedWeight,
        ];
        $opens = $net->open;
        $flat = $this->flat;
        [$opensAt, $closesAt, $bucket, $bucketBase, $lastWindow, $buckets] = [
            $flat->start,
            $flat->end,
            $flat->bucket,
            $flat->base,
            $flat->last,
            $flat->buckets,
        ];
        $jobMove = $this->jobMove;
        $plainOut = $plainReady = array_fill(0, $count, true);
        $tailOf = array_fill(0, $count, -1);
        foreach ($net->step as $x => $step) {
            $plainOut[$x] = $step->wait === 0 && $step->move === 0;
            $plainReady[$x] = $ahead[$x] === 0;
        }
        $previous = $next = array_fill(0, $count, -1);
        $moreBefore = $moreAfter = array_fill(0, $count, null);
        foreach ($before as $x => $list) {
            $previous[$x] = $list[0] ?? -1;
            $moreBefore[$x] = count($list) > 1 ? array_slice($list, 1) : null;
            $next[$x] = $after[$x][0] ?? -1;
            $moreAfter[$x] = count($after[$x]) > 1 ? array_slice($after[$x], 1) : null;
        }
        foreach ($tails as $j => $list) {
            foreach ($list as $x) {
                $tailOf[$x] = $j;
            }
        }
        $jobs = count($tails);
        $pos = $cp = $cn = $start = $end = $out = array_fill(0, $count, -1);
        // when the machines of its work centre are free behind an operation, in order; nothing where there is one
        // machine
        $wide = $machines === [] ? 1 : max($machines);
        $free = array_fill(0, $wide * $count, 0);
        $dirty = array_fill(0, $count, true);
        $mark = array_fill(0, $count, 0);
        $seen = $anchor = $rest = array_fill(0, count($machines), -1);
        foreach ($at as $p => $x) {
            $pos[$x] = $p;
            if ($centre[$x] >= 0) {
                $cp[$x] = $anchor[$centre[$x]];
                if ($cp[$x] >= 0) {
                    $cn[$cp[$x]] = $x;
                }
                $anchor[$centre[$x]] = $x;
            }
        }
        $finish = $cost = array_fill(0, $jobs, 0);
        $tardiness = $flow = $energy = 0;
        $moved = $movedWeight > 0 ? count($was) : 0;
        $random = $this->random;
        $pending = $count;
        $p = 0;
        $stamp = 0;
        $threshold = INF;
        $temperature = $hot * 1000;
        $ratio = $iterations > 64 ? ($cold / $hot) ** (64 / $iterations) : 1.0;
        // what a move changed, to put it back: lists of fixed length and how much of them counts
        $logX = $logStart = $logEnd = $logJob = $logFinish = array_fill(0, 2 * $count + 2, 0);
        $logCost = $logCp = $logCpWas = $logCn = $logCnWas = $logX;
        $logFree = array_fill(0, $wide * ($count + 1), 0);
        $changes = $jobChanges = $cpChanges = $cnChanges = 0;
        $from = $to = 0;
        $old = [];
        $isCut = false;
        $best = $at;
        $bestCost = $bestFlow = PHP_INT_MAX;
        $done = -1;
        for ($i = -1; $i < $iterations; $i++) {
            $done = $i + 1;
            if ($i >= 0) {
                if (($i & 63) === 0) {
                    $temperature *= $ratio;
                    if (! $goOn($bestCost, $i)) {
                        $isCut = true;
                        break;
                    }
                }
                // a late job: half the time by its weight, else any of them
                $draw = $random->nextInt();
                $j = ($draw >> 3) % $jobs;
                if ($tardiness > 0) {
                    if (($draw & 1) === 0) {
                        while ($cost[$j] === 0) {
                            $j = $j + 1 === $jobs ? 0 : $j + 1;
                        }
                    } else {
                        $goal = ($draw >> 3) % $tardiness;
                        $j = 0;
                        while ($goal >= $cost[$j]) {
                            $goal -= $cost[$j++];
                        }
                    }
                }
                $hope = $cost[$j];
                if ($tails[$j] === []) {
                    continue;
                }
                // back along its critical path; one of the operations that wait for a machine, by chance
                $x = $tails[$j][0];
                foreach ($tails[$j] as $y) {
                    if ($out[$y] > $out[$x]) {
                        $x = $y;
                    }
                }
                $v = -1;
                $found = 0;
                while (true) {
                    $ready = $release[$x];
                    $way = -1;
                    $y = $previous[$x];
                    if ($y >= 0 && $out[$y] > $ready) {
                        $ready = $out[$y];
                        $way = $y;
                    }
                    if ($moreBefore[$x] !== null) {
                        foreach ($moreBefore[$x] as $y) {
                            if ($out[$y] > $ready) {
                                $ready = $out[$y];
                                $way = $y;
                            }
                        }
                    }
                    $y = $cp[$x];
                    if ($y >= 0 && ! $fixed[$x]) {
                        $f = $machines[$centre[$x]] === 1 ? $end[$y] : $free[$y * $wide];
                        if ($f > 0 && $f >= ($plainReady[$x] ? $ready : $ready - $ahead[$x])) {
                            if (! $fixed[$y]) {
                                $found++;
                                $draw = $random->nextInt();
                                if ($draw % $found === 0) {
                                    $v = $x;
                                }
                            }
                            $way = $y;
                            while ($end[$way] !== $f) {
                                $way = $cp[$way];
                            }
                        }
                    }
                    if ($way < 0) {
                        break;
                    }
                    $x = $way;
                }
                if ($v < 0) {
                    continue;
                }
                $draw = $random->nextInt();
                $whole = $draw >> 40 & 0x7F;
                $isWhole = $whole < self::RUSH + self::YIELD;
                $u = $cp[$v];
                // mostly near, now and then far: one long operation may have to go before many
                for (
                    $k = (($draw >> 8) & 0xFFFF) % (1 << $draw % ($isWhole ? 4 : 6));
                    $k > 0 && $cp[$u] >= 0 && ! $fixed[$cp[$u]];
                    $k--
                ) {
                    $u = $cp[$u];
                }
                if ($isWhole) {
                    // a whole job, from here on
                    $stretch = $whole < self::RUSH ? $jobMove->rush($v, $at, $pos, $cp, $end, $out, $fixed)
                        : $jobMove->yield($u, $v, $at, $pos, $cn, $end, $out);
                    if ($stretch === null) {
                        continue;
                    }
                    [$from, $new] = $stretch;
                    $to = $from + count($new) - 1;
                    $stamp += 2;
                } else {
                    // the new order of the stretch from u to v
                    $from = $pos[$u];
                    $to = $pos[$v];
                    $stamp += 2;
                    $kind = ($draw >> 30) % 3;
                    $first = $last = $middle = [];
                    if ($kind !== 1) {
                        // v with all that it waits for
                        $mark[$v] = $stamp;
                        for ($q = $to; $q >= $from; $q--) {
                            $x = $at[$q];
                            if ($mark[$x] !== $stamp) {
                                foreach ($after[$x] as $y) {
                                    if ($mark[$y] === $stamp) {
                                        $mark[$x] = $stamp;
                                        break;
                                    }
                                }
                            }
                        }
                        if ($mark[$u] === $stamp) {
                            continue;
                        }
                    }
                    if ($kind !== 0) {
                        // u with all that waits for it
                        $late = $stamp + 1;
                        $mark[$u] = $late;
                        for ($q = $from; $q <= $to; $q++) {
                            $x = $at[$q];
                            if ($mark[$x] !== $late) {
                                foreach ($before[$x] as $y) {
                                    if ($mark[$y] === $late) {
                                        $mark[$x] = $late;
                                        break;
                                    }
                                }
                            }
                        }
                        if ($mark[$v] === $late) {
                            continue;
                        }
                    }
                    for ($q = $from; $q <= $to; $q++) {
                        $x = $at[$q];
                        if ($mark[$x] === $stamp) {
                            $first[] = $x;
                        } elseif ($mark[$x] > $stamp) {
                            $last[] = $x;
                        } else {
                            $middle[] = $x;
                        }
                    }
                    // v to the front, u to the end, or both
                    $new = $first;
                    foreach ($middle as $x) {
                        $new[] = $x;
                    }
                    foreach ($last as $x) {
                        $new[] = $x;
                    }
                }
                // what stands before and behind it on each work centre
                $old = [];
                for ($p = $from; $p <= $to; $p++) {
                    $x = $at[$p];
                    $old[] = $x;
                    $c = $centre[$x];
                    if ($c >= 0) {
                        if ($seen[$c] !== $stamp) {
                            $seen[$c] = $stamp;
                            $anchor[$c] = $cp[$x];
                        }
                        $rest[$c] = $cn[$x];
                    }
                }
                $cpChanges = $cnChanges = 0;
                $lowest = $to;
                $pending = 0;
                $p = $from;
                foreach ($new as $x) {
                    $at[$p] = $x;
                    $pos[$x] = $p;
                    $c = $centre[$x];
                    if ($c >= 0) {
                        $y = $anchor[$c];
                        if ($cp[$x] !== $y) {
                            $logCp[$cpChanges] = $x;
                            $logCpWas[$cpChanges++] = $cp[$x];
                            $cp[$x] = $y;
                            if ($y >= 0) {
                                $logCn[$cnChanges] = $y;
                                $logCnWas[$cnChanges++] = $cn[$y];
                                $cn[$y] = $x;
                            }
                            $dirty[$x] = true;
                            $pending++;
                            if ($p < $lowest) {
                                $lowest = $p;
                            }
                        }
                        $anchor[$c] = $x;
                    }
                    $p++;
                }
                for ($k = $cpChanges - 1; $k >= 0; $k--) {
                    $c = $centre[$logCp[$k]];
                    $y = $anchor[$c];
                    if ($cn[$y] !== $rest[$c]) {
                        $logCn[$cnChanges] = $y;
                        $logCnWas[$cnChanges++] = $cn[$y];
                        $x = $cn[$y] = $rest[$c];
                        if ($x >= 0) {
                            $logCp[$cpChanges] = $x;
                            $logCpWas[$cpChanges++] = $cp[$x];
                            $cp[$x] = $y;
                            $dirty[$x] = true;
                            $pending++;
                        }
                    }
                }
                $p = $lowest;
                $draw = $random->nextInt();
                $threshold = -$temperature * log((($draw & 0xFFFFFFFF) + 1) / 4294967297);
            }
            $wasTardiness = $tardiness;
            $wasFlow = $flow;
            $wasMoved = $moved;
            $hopeless = $i < 0 ? PHP_INT_MAX : $wasTardiness + (int) ($threshold / 1000) + (int) (self::HOPE * $hope);
            // work out again what changed
            $changes = $jobChanges = 0;
            for (; $pending > 0; $p++) {
                $x = $at[$p];
                if (! $dirty[$x]) {
                    continue;
                }
                $dirty[$x] = false;
                $pending--;
                $ready = $release[$x];
                $y = $previous[$x];
                if ($y >= 0 && $out[$y] > $ready) {
                    $ready = $out[$y];
                }
                if ($moreBefore[$x] !== null) {
                    foreach ($moreBefore[$x] as $y) {
                        if ($out[$y] > $ready) {
                            $ready = $out[$y];
                        }
                    }
                }
                $c = $centre[$x];
                $y = $cp[$x];
                if ($c < 0) {
                    $s = $ready;
                    $e = $net->lead[$x] === null ? $ready + $work[$x] : $net->lead[$x]->finish($ready, $work[$x]);
                } else {
                    if (! $plainReady[$x]) {
                        $ready = max(0, $opens[$c]->startFor($ready, $ahead[$x]));
                    }
                    $m = $machines[$c];
                    if ($y >= 0) {
                        $f = $m === 1 ? $end[$y] : $free[$y * $wide];
                        if ($f > $ready) {
                            $ready = $f;
                        }
                    }
                    $k = $ready >> 6;
                    $k = $k < $buckets ? $bucket[$bucketBase[$c] + $k] : $lastWindow[$c];
                    while ($closesAt[$k] <= $ready) {
                        $k++;
                    }
                    $s = $opensAt[$k];
                    if ($ready > $s) {
                        $s = $ready;
                    }
                    $e = $s + $work[$x];
                    while ($e > $closesAt[$k]) {
                        $e -= $closesAt[$k];
                        $k++;
                        $e += $opensAt[$k];
                    }
                    if ($m > 1) {
                        // of the machines free by then, the one free last; the others stay for what may begin earlier
                        $b = $x * $wide;
                        $a = $y * $wide;
                        if ($m === 2) {
                            $f = $y < 0 ? 0 : $free[$a + 1];
                            if ($f > $s) {
                                if ($f < $e) {
                                    $g = $e;
                                } else {
                                    $g = $f;
                                    $f = $e;
                                }
                            } else {
                                $f = $y < 0 ? 0 : $free[$a];
                                $g = $e;
                            }
                            $h = $free[$b];
                            $k = $free[$b + 1];
                            if ($h === $f && $k === $g && $e === $end[$x]) {
                                continue;
                            }
                            $a = $changes * $wide;
                            $logFree[$a] = $h;
                            $logFree[$a + 1] = $k;
                            $free[$b] = $f;
                            $free[$b + 1] = $g;
                        } else {
                            $h = $changes * $wide;
                            $gone = 0;
                            while ($gone + 1 < $m && $y >= 0 && $free[$a + $gone + 1] <= $s) {
                                $gone++;
                            }
                            // the others in order, and it among them when it ends
                            $changed = $e !== $end[$x];
                            $other = $gone === 0 ? 1 : 0;
                            $isIn = false;
                            for ($k = 0; $k < $m; $k++) {
                                $f = $other >= $m ? $e : ($y < 0 ? 0 : $free[$a + $other]);
                                if (! $isIn && ($other >= $m || $f >= $e)) {
                                    $f = $e;
                                    $isIn = true;
                                } else {
                                    $other += $other + 1 === $gone ? 2 : 1;
                                }
                                $g = $free[$b];
                                $logFree[$h++] = $g;
                                if ($g !== $f) {
                                    $free[$b] = $f;
                                    $changed = true;
                                }
                                $b++;
                            }
                            if (! $changed) {
                                continue;
                            }
                        }
                    }
                }
                if ($e === $end[$x]) {
                    if ($c < 0 || $machines[$c] === 1) {
                        continue;
                    }
                    $logX[$changes] = $x;
                    $logStart[$changes] = $start[$x];
                    $logEnd[$changes++] = $e;
                    $y = $cn[$x];
                    if ($y >= 0 && ! $dirty[$y]) {
                        $dirty[$y] = true;
                        $pending++;
                    }

                    continue;
                }
                $logX[$changes] = $x;
                $logEnd[$changes] = $end[$x];
                if ($movedWeight > 0) {
                    $logStart[$changes] = $start[$x];
                    if (isset($was[$x])) {
                        $moved += ($start[$x] === $was[$x] ? 1 : 0) - ($s === $was[$x] ? 1 : 0);
                    }
                    $start[$x] = $s;
                }
                $changes++;
                $end[$x] = $e;
                $out[$x] = $plainOut[$x] ? $e : $net->out($x, $e);
                $y = $cn[$x];
                if ($y >= 0 && ! $dirty[$y]) {
                    $dirty[$y] = true;
                    $pending++;
                }
                $y = $next[$x];
                if ($y >= 0) {
                    if (! $dirty[$y]) {
                        $dirty[$y] = true;
                        $pending++;
                    }
                    if ($moreAfter[$x] !== null) {
                        foreach ($moreAfter[$x] as $y) {
                            if (! $dirty[$y]) {
                                $dirty[$y] = true;
                                $pending++;
                            }
                        }
                    }
                }
                $j = $tailOf[$x];
                if ($j >= 0) {
                    $f = $out[$x];
                    foreach ($tails[$j] as $y) {
                        if ($out[$y] > $f) {
                            $f = $out[$y];
                        }
                    }
                    $logJob[$jobChanges] = $j;
                    $logFinish[$jobChanges] = $finish[$j];
                    $logCost[$jobChanges++] = $cost[$j];
                    $flow += $f - $finish[$j];
                    $finish[$j] = $f;
                    $tardiness -= $cost[$j];
                    $cost[$j] = $f > $due[$j] && $weight[$j] > 0 ? $weight[$j] * $net->late($j, $f) : 0;
                    $tardiness += $cost[$j];
                    if ($tardiness > $hopeless) {
                        // it cannot win that back: what is still to be worked out is let go, and the move refused
                        $threshold = -INF;
                        for ($p++; $pending > 0; $p++) {
                            if ($dirty[$at[$p]]) {
                                $dirty[$at[$p]] = false;
                                $pending--;
                            }
                        }
                        break;
                    }
                }
            }
            $now = ($tardiness + $moved * $movedWeight) * 1000 + $flow;
            if ($i < 0 || $now - $energy <= $threshold) {
                $energy = $now;
                $full = $tardiness + $moved * $movedWeight;
                if ($full < $bestCost || ($full === $bestCost && $flow < $bestFlow)) {
                    $bestCost = $full;
                    $bestFlow = $flow;
                    $best = $at;
                }

                continue;
            }
            // refused: everything back
            for ($k = 0; $k < $changes; $k++) {
                $x = $logX[$k];
                $end[$x] = $logEnd[$k];
                $out[$x] = $plainOut[$x] ? $end[$x] : $net->out($x, $end[$x]);
                if ($movedWeight > 0) {
                    $start[$x] = $logStart[$k];
                }
                if ($centre[$x] >= 0 && ($m = $machines[$centre[$x]]) > 1) {
                    $b = $k * $wide;
                    $a = $x * $wide;
                    for ($y = 0; $y < $m; $y++) {
                        $free[$a++] = $logFree[$b++];
                    }
                }
            }
            for ($k = $jobChanges - 1; $k >= 0; $k--) {
                $finish[$logJob[$k]] = $logFinish[$k];
                $cost[$logJob[$k]] = $logCost[$k];
            }
            for ($k = $cpChanges - 1; $k >= 0; $k--) {
                $cp[$logCp[$k]] = $logCpWas[$k];
            }
            for ($k = $cnChanges - 1; $k >= 0; $k--) {
                $cn[$logCn[$k]] = $logCnWas[$k];
            }
            $p = $from;
            foreach ($old as $x) {
                $at[$p] = $x;
                $pos[$x] = $p;
                $p++;
            }
            $tardiness = $wasTardiness;
            $flow = $wasFlow;
            $moved = $wasMoved;
        }

        return new Found(array_values($best), $bestCost, $bestFlow, max(0, $done), $isCut);
    }
}
