<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\FlatWindows;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;
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
final class Walk
{
    /** A move is given up when it costs more than this times what the late job it is made for could win. */
    private const HOPE = 1.5;

    /** What a pinned step costs that cannot stand where it is pinned: more than any lateness. */
    public const BROKEN = 1_000_000_000;

    /** Of 128 moves: so many rush a job, and so many let one yield. */
    private const RUSH = 5;

    /** Where people are asked for: what keeps a late order is in many places, so it has to be moved whole. */
    private const RUSH_AMONG_PEOPLE = 32;

    private const YIELD = 20;

    /** One move in so many does an operation in another of its ways, where there are any; a power of two. */
    private const OTHER_WAY = 4;

    private readonly FlatWindows $flat;

    private readonly JobMove $jobMove;

    private readonly Randomizer $random;

    private readonly Shop $shop;

    private readonly ?People $people;

    /** @var list<int> by job */
    private array $weight = [];

    /** @var array<int, bool> by operation: it stays where it is */
    private array $fixed;

    /** @param  Stands  $stands  what is fixed is not moved; it comes first in every order given */
    public function __construct(
        private readonly Net $net,
        int $seed,
        private readonly Stands $stands = new Stands,
    ) {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->shop = new Shop($net);
        $this->people = $net->asked === [] ? null : new People($net, $this->shop);
        $this->flat = new FlatWindows($this->shop->calendars);
        $this->jobMove = new JobMove($net, $this->people);
        $this->fixed = array_fill(0, $net->count, false);
        foreach ($stands->fixed as $operation) {
            $this->fixed[$operation] = true;
        }
        foreach ($net->jobs as $job) {
            $this->weight[] = isset($net->unplaced[$job->id]) || $job->due === null ? 0 : $job->weight;
        }
    }

    /** Whether people are asked for one by one, and not as machines they stand at. */
    public function isManned(): bool
    {
        return $this->people !== null && $this->people->areAsked;
    }

    /**
     * One cooling from $hot to $cold, in weighted minutes late. With no iterations it works out what an order costs.
     *
     * @param  list<int>  $at  operations, each behind those it waits for
     * @param  array<int, int>  $ways  by operation: the one of its ways it is done in to begin with; of those that are
     *     not named the one that ends soonest
     * @param  callable(int, int): bool  $goOn  told the best cost and the iterations so far; false = end
     */
    public function cool(array $at, array $ways, int $iterations, float $hot, float $cold, callable $goOn): Found
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
        [$tails, $due, $weight, $machines, $fixed, $was, $price] = [
            $net->tails,
            $net->due,
            $this->weight,
            $net->machines,
            $this->fixed,
            $this->stands->was,
            $this->stands->price,
        ];
        $opens = $net->open;
        $flat = $this->flat;
        $shop = $this->shop;
        [$isVaried, $isVector, $calendars, $calendarOf, $family, $familyNow, $between, $isChanged, $choices] = [
            $shop->isVaried,
            $shop->isVector,
            $shop->calendars,
            $shop->calendarOf,
            $shop->family,
            $shop->familyNow,
            $shop->between,
            $shop->isChanged,
            $shop->choices,
        ];
        $mayBeAhead = $shop->mayBeAhead;
        $people = $this->people;
        $people?->clear();
        $isAsked = $shop->isAsked;
        $isManned = $this->isManned();
        $rush = $isManned ? self::RUSH_AMONG_PEOPLE : self::RUSH;
        [$pinned, $kept, $isBroken] = [array_fill(0, $count, null), $shop->kept, array_fill(0, $count, false)];
        foreach ($shop->pinned as $x => $pin) {
            $pinned[$x] = $pin;
        }
        $pinnedOnes = array_keys($shop->pinned);
        $isPinning = $kept !== [];
        $logBroken = [];
        $partsFrom = $shop->partsFrom;
        $isPassing = $shop->passes !== [];
        // open minutes from a setup's end to the first part, and those the next step takes for the last; -1 = none
        $firstPart = $lastPart = $firstOut = array_fill(0, $count, -1);
        foreach ($shop->passes as $x => $pass) {
            [$firstPart[$x], $lastPart[$x]] = [$pass->first, $pass->last];
        }
        $setup = array_map(static fn (array $of): int => isset($of[0]) ? $of[0]->setup : 0, $net->ways);
        [$hasWays, $otherWays] = [$shop->hasWays, $shop->otherWays];
        $way = $shop->greedy($at, $ways);
        foreach ($shop->many as $x) {
            [$centre[$x], $work[$x], $ahead[$x], $setup[$x]] = $choices[$x][$way[$x]] ?? [0, 0, 0, 0];
        }
        [$opensAt, $closesAt, $bucket, $bucketBase, $lastWindow, $buckets] = [
            $flat->start,
            $flat->end,
            $flat->bucket,
            $flat->base,
            $flat->last,
            $flat->buckets,
        ];
        $jobMove = $this->jobMove;
        $plainOut = array_fill(0, $count, true);
        $tailOf = array_fill(0, $count, -1);
        foreach ($net->step as $x => $step) {
            $plainOut[$x] = $step->wait === 0 && $step->move === 0;
        }
        $previous = $next = array_fill(0, $count, -1);
        $moreBefore = $moreAfter = array_fill(0, $count, null);
        foreach ($before as $x => $list) {
            if ($isPassing && $partsFrom[$x] >= 0) {
                $list = array_values(array_diff($list, [$partsFrom[$x]]));
            }
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
        // where machines differ: of each by number, with what it is set up for; on which it is, after what change
        $set = $shop->isAnyVaried ? array_fill(0, $wide * $count, -1) : [];
        $on = $change = $tried = array_fill(0, $count, 0);
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
        $isPriced = $price !== [];
        $moved = array_sum($price);
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
        $logSet = $set === [] ? [] : $logFree;
        $logOn = $logChange = $logFirst = $logTriedX = $logTried = $logX;
        $logSpot = array_fill(0, $people === null ? 0 : $count + 1, null);
        $changes = $jobChanges = $cpChanges = $cnChanges = $tries = 0;
        $spot = $forcedSpot = null;
        $from = $to = 0;
        $old = [];
        $isCut = false;
        $best = $at;
        $bestWay = $way;
        $forced = -1; // the operation that changes its way, from which to which
        $wayWas = $n = $goal = 0;
        $choice = [0, 0, 0, 0];
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
                if ($moved >= self::BROKEN) {
                    // first what keeps a pinned step from standing where it is pinned
                    $hope = self::BROKEN;
                    foreach ($pinnedOnes as $y) {
                        $x = $isBroken[$y] && (! $isBroken[$x] || ($draw >> 24 & 3) === 0) ? $y : $x;
                    }
                }
                $v = $by = -1;
                $found = 0;
                $isOther = $hasWays && (($draw >> 40) & (self::OTHER_WAY - 1)) === 0;
                $others = [];
                while (true) {
                    $ready = $release[$x];
                    $from = -1;
                    $y = $previous[$x];
                    if ($y >= 0 && $out[$y] > $ready) {
                        $ready = $out[$y];
                        $from = $y;
                    }
                    if ($moreBefore[$x] !== null) {
                        foreach ($moreBefore[$x] as $y) {
                            if ($out[$y] > $ready) {
                                $ready = $out[$y];
                                $from = $y;
                            }
                        }
                    }
                    if ($isPassing && $partsFrom[$x] >= 0) {
                        $y = $partsFrom[$x];
                        if ($firstOut[$y] > $ready) {
                            $ready = $firstOut[$y];
                            $from = $y;
                        }
                        if ($out[$y] >= $end[$x] - $lastPart[$y]) {
                            $from = $y;
                        }
                    }
                    if ($isOther && $otherWays[$x] !== null && ! $fixed[$x]) {
                        $others[] = $x;
                    }
                    $y = $cp[$x];
                    if ($pinned[$x] !== null) {
                        $y = -1; // it waits for no machine
                    }
                    $q = $people === null || $fixed[$x] ? -1 : $people->waitsFor($x, $pos);
                    if ($q >= 0) {
                        // it waits for people: for whoever works ahead of it, wherever that is
                        if (! $fixed[$q]) {
                            $found++;
                            $draw = $random->nextInt();
                            if ($draw % $found === 0) {
                                $v = $x;
                                $by = $q;
                            }
                        }
                        $from = $q;
                    } elseif ($y >= 0 && ! $fixed[$x]) {
                        $c = $centre[$x];
                        $f = ! $isVector[$c] ? $end[$y] : $free[$y * $wide + ($isVaried[$c] ? $on[$x] : 0)];
                        if ($f > 0 && $f >= $ready - $ahead[$x] - ($isVaried[$c] ? $change[$x] : 0)) {
                            if (! $fixed[$y]) {
                                $found++;
                                $draw = $random->nextInt();
                                if ($draw % $found === 0) {
                                    $v = $x;
                                    $by = -1;
                                }
                            }
                            $from = $y;
                            while ($end[$from] !== $f) {
                                $from = $cp[$from];
                            }
                        }
                    }
                    if ($from < 0) {
                        break;
                    }
                    $x = $from;
                }
                if ($isOther && $others === []) {
                    // none on the path: the first that has another way ahead of the one that waits
                    for ($y = $v < 0 ? -1 : $cp[$v], $k = 0; $y >= 0 && ! $fixed[$y] && $k < 8; $y = $cp[$y], $k++) {
                        if ($otherWays[$y] !== null) {
                            $others[] = $y;
                            break;
                        }
                    }
                }
                $isOther = $others !== [];
                if ($v < 0 && ! $isOther) {
                    continue;
                }
                $draw = $random->nextInt();
                if ($isOther) {
                    // x in another of its ways, among what stands there at the time when x is ready
                    $x = $others[($draw >> 8 & 0xFFFF) % count($others)];
                    $n = $otherWays[$x][$way[$x]] ?? [0];
                    $n = $n[($draw >> 24 & 0xFF) % count($n)];
                    $choice = $choices[$x][$n] ?? [0, 0, 0, 0];
                    $goal = $choice[0];
                    $ready = $release[$x];
                    foreach ($before[$x] as $y) {
                        if ($out[$y] > $ready) {
                            $ready = $out[$y];
                        }
                    }
                    $p = $pos[$x] - 1;
                    while ($p >= 0 && $centre[$at[$p]] !== $goal) {
                        $p--;
                    }
                    if ($p < 0) {
                        $p = $pos[$x] + 1;
                        while ($p < $count && $centre[$at[$p]] !== $goal) {
                            $p++;
                        }
                    }
                    // u: what comes behind x there; w: what stands ahead of it
                    $u = $p < $count ? $at[$p] : -1;
                    while ($u >= 0 && ! $fixed[$u] && $ready <= $end[$u] - $work[$u]) {
                        $w = $cp[$u];
                        if ($w < 0 || $fixed[$w] || $ready > $end[$w] - $work[$w]) {
                            break;
                        }
                        $u = $w;
                    }
                    $w = $u >= 0 ? $cp[$u] : -1;
                    while ($u >= 0 && ($fixed[$u] || $ready > $end[$u] - $work[$u])) {
                        $w = $u;
                        $u = $cn[$u];
                    }
                    for ($k = $draw >> 32 & 3; $k > 0; $k--) {
                        if (($draw >> 34 & 1) === 0) {
                            if ($w < 0 || $fixed[$w]) {
                                break;
                            }
                            $u = $w;
                            $w = $cp[$w];
                        } else {
                            if ($u < 0) {
                                break;
                            }
                            $w = $u;
                            $u = $cn[$u];
                        }
                    }
                    $stamp += 2;
                    $isEarlier = $u >= 0 && $pos[$u] < $pos[$x];
                    $isLater = ! $isEarlier && $w >= 0 && $pos[$w] > $pos[$x];
                    $from = $isEarlier ? $pos[$u] : $pos[$x];
                    $to = $isLater ? $pos[$w] : $pos[$x];
                    $mark[$x] = $stamp;
                    $goes = [$x];
                    $stays = [];
                    if ($isEarlier) {
                        // with all that it waits for
                        for ($t = $to - 1; $t >= $from; $t--) {
                            $y = $at[$t];
                            $isNeeded = false;
                            foreach ($after[$y] as $q) {
                                if ($mark[$q] === $stamp) {
                                    $isNeeded = true;
                                    break;
                                }
                            }
                            if ($isNeeded) {
                                $mark[$y] = $stamp;
                                $goes[] = $y;
                            } else {
                                $stays[] = $y;
                            }
                        }
                        if ($mark[$u] === $stamp) {
                            continue;
                        }
                        $new = [...array_reverse($goes), ...array_reverse($stays)];
                    } elseif ($isLater) {
                        // with all that waits for it
                        for ($t = $from + 1; $t <= $to; $t++) {
                            $y = $at[$t];
                            $isNeeded = false;
                            foreach ($before[$y] as $q) {
                                if ($mark[$q] === $stamp) {
                                    $isNeeded = true;
                                    break;
                                }
                            }
                            if ($isNeeded) {
                                $mark[$y] = $stamp;
                                $goes[] = $y;
                            } else {
                                $stays[] = $y;
                            }
                        }
                        if ($mark[$w] === $stamp) {
                            continue;
                        }
                        $new = [...$stays, ...$goes];
                    } else {
                        $new = $goes;
                    }
                    $forced = $x;
                } else {
                    $forced = -1;
                    $whole = $draw >> 40 & 0x7F;
                    $isWhole = $whole < $rush || ($whole < $rush + self::YIELD && $by < 0);
                    $u = $by < 0 ? $cp[$v] : $by;
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
                        if ($whole >= $rush) {
                            $stretch = $jobMove->yield($u, $v, $centre, $work, $at, $pos, $cn, $end, $out, $way);
                        } elseif (! $isManned) {
                            $stretch = $jobMove->rush($v, $centre, $work, $at, $pos, $cp, $end, $out, $fixed, $way, 0);
                        } else {
                            if (($draw >> 48 & 1) === 0) {
                                // the late one itself, from any of its operations on
                                $list = $net->operations[$j];
                                $v = $list[($draw >> 49 & 0xFFF) % count($list)];
                                if ($centre[$v] < 0 || $fixed[$v] || $pinned[$v] !== null) {
                                    continue;
                                }
                            }
                            $k = ($draw >> 61 & 1) === 0 ? 0 : $draw >> 58 & 7;
                            $stretch = ($draw >> 57 & 1) === 0
                                ? $jobMove->slip($v, $centre, $at, $pos, $cp, $cn, $end, $out, $fixed, $way, $free,
                                    $set, $wide)
                                : $jobMove->rush($v, $centre, $work, $at, $pos, $cp, $end, $out, $fixed, $way, $k);
                        }
                        if ($stretch === null) {
                            continue;
                        }
                        [$from, $new, $goes] = $stretch;
                        $to = $from + count($new) - 1;
                        $stamp += 2;
                        foreach ($goes as $x => $_) {
                            $mark[$x] = $stamp;
                        }
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
                }
                // what stands before and behind it on each work centre
                $old = [];
                $people?->begin();
                for ($p = $from; $p <= $to; $p++) {
                    $x = $at[$p];
                    $old[] = $x;
                    $c = $centre[$x];
                    if ($c >= 0) {
                        if ($people !== null && $mark[$x] >= $stamp && $isAsked[$c]) {
                            $people->touch($x);
                        }
                        if ($seen[$c] !== $stamp) {
                            $seen[$c] = $stamp;
                            $anchor[$c] = $cp[$x];
                        }
                        $rest[$c] = $cn[$x];
                    }
                }
                if ($forced >= 0) {
                    $left = $centre[$forced];
                    if ($seen[$goal] !== $stamp) {
                        $anchor[$goal] = $w;
                        $rest[$goal] = $u;
                    }
                    $wayWas = $way[$forced];
                    $way[$forced] = $n;
                    $forcedSpot = $people?->leaves($forced);
                    [$centre[$forced], $work[$forced], $ahead[$forced], $setup[$forced]] = $choice;
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
                        if ($cp[$x] !== $y || $x === $forced) {
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
                        } elseif ($people !== null && $mark[$x] >= $stamp && $isAsked[$c]) {
                            $dirty[$x] = true;
                            $pending++;
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
                if ($forced >= 0) {
                    // where it stood: what was ahead of it there and what was behind
                    $y = $anchor[$left];
                    $x = $rest[$left];
                    if ($y >= 0 && $cn[$y] !== $x) {
                        $logCn[$cnChanges] = $y;
                        $logCnWas[$cnChanges++] = $cn[$y];
                        $cn[$y] = $x;
                    }
                    if ($x >= 0 && $cp[$x] !== $y) {
                        $logCp[$cpChanges] = $x;
                        $logCpWas[$cpChanges++] = $cp[$x];
                        $cp[$x] = $y;
                        $dirty[$x] = true;
                        $pending++;
                    }
                }
                $p = $people === null ? $lowest : $from;
                $draw = $random->nextInt();
                $threshold = -$temperature * log((($draw & 0xFFFFFFFF) + 1) / 4294967297);
            }
            $wasTardiness = $tardiness;
            $wasFlow = $flow;
            $wasMoved = $moved;
            $hopeless = $i < 0 ? PHP_INT_MAX : $wasTardiness + (int) ($threshold / 1000) + (int) (self::HOPE * $hope);
            // work out again what changed
            $changes = $jobChanges = $breaks = $tries = 0;
            for (; $pending > 0 || ($people !== null && $people->isTouched && $p < $count); $p++) {
                $x = $at[$p];
                if ($dirty[$x]) {
                    $dirty[$x] = false;
                    $pending--;
                } elseif (
                    $people === null
                    || $tried[$x] >= $people->to
                    || $end[$x] <= $people->from
                    || $centre[$x] < 0
                    || ! $isAsked[$centre[$x]]
                    || $pinned[$x] !== null
                    || ! $people->isTouched($x, $way[$x] ?? 0, $tried[$x], $end[$x])
                ) {
                    continue;
                }
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
                $giver = $isPassing ? $partsFrom[$x] : -1;
                if ($giver >= 0 && $firstOut[$giver] > $ready) {
                    $ready = $firstOut[$giver];
                }
                $y = $cp[$x];
                if ($c < 0) {
                    $s = $ready;
                    $e = $net->lead[$x] === null ? $ready + $work[$x] : $net->lead[$x]->finish($ready, $work[$x]);
                } elseif ($isVaried[$c]) {
                    $spot = null;
                    // every machine is tried: the one where it ends soonest, of those the one free last
                    $m = $machines[$c];
                    $a = $y * $wide;
                    $e = PHP_INT_MAX;
                    $s = $h = 0;
                    $f = -1;
                    $o = -1;
                    if ($isPinning && $pinned[$x] !== null) {
                        // it stands where it is pinned; where what it needs comes later, no move may leave it so
                        [$o, $s, $e] = [$pinned[$x]->machine, $pinned[$x]->start, $pinned[$x]->end];
                        $h = $pinned[$x]->changeover;
                        $isLate = $ready > $pinned[$x]->neededBy || ($giver >= 0
                            && $e < $calendars[$calendarOf[$c][$o]]->finish($out[$giver], $lastPart[$giver]));
                        if ($isBroken[$x] !== $isLate) {
                            $isBroken[$x] = $isLate;
                            $moved += $isLate ? self::BROKEN : -self::BROKEN;
                            $logBroken[$breaks++] = $x;
                        }
                        $m = 0;
                    } elseif ($people !== null && $isAsked[$c]) {
                        $spot = $people->place(
                            $x,
                            $way[$x] ?? 0,
                            $ready,
                            $giver < 0 ? null : [$out[$giver], $lastPart[$giver]],
                            $firstPart[$x],
                            $y,
                            $cp,
                            $free,
                            $set,
                            $wide,
                            $pos,
                            $pos[$x],
                        );
                        [$o, $s, $e, $h] = [$spot->machine, $spot->start, $spot->end, $spot->changeover];
                        $logTriedX[$tries] = $x;
                        $logTried[$tries++] = $tried[$x];
                        $tried[$x] = $spot->tried;
                        $m = 0;
                    }
                    for ($q = 0; $q < $m; $q++) {
                        $g = $y < 0 ? 0 : $free[$a + $q];
                        $k = $work[$x];
                        if ($g + $k > $e) {
                            continue;
                        }
                        $l = 0;
                        $standing = -1;
                        if ($between[$c] !== null) {
                            $standing = $y < 0 ? $familyNow[$c][$q] : $set[$a + $q];
                            $l = $standing < 0 || ! $isChanged[$x] ? 0 : $between[$c][$standing][$family[$x]];
                            $k += $l;
                        }
                        $r = $ready;
                        if ($mayBeAhead[$x] && $ahead[$x] + $l > 0) {
                            $r = max(0, $calendars[$calendarOf[$c][$q]]->startFor($r, $ahead[$x] + $l));
                        }
                        if ($g > $r) {
                            $r = $g;
                        }
                        $z = $calendarOf[$c][$q];
                        if ($isPinning && isset($kept[$c][$q])) {
                            // in front of what is pinned if it is through by then, else behind it
                            foreach ($kept[$c][$q] as $nth => [$pinStart, $pinEnd, $pinFamily]) {
                                if ($pinEnd <= $g) {
                                    continue;
                                }
                                if ($pinEnd > $r && $pinStart > $r) {
                                    $t = $r >> 6;
                                    $t = $t < $buckets ? $bucket[$bucketBase[$z] + $t] : $lastWindow[$z];
                                    while ($closesAt[$t] <= $r) {
                                        $t++;
                                    }
                                    $through = $k + max($r, $opensAt[$t]);
                                    while ($through > $closesAt[$t]) {
                                        $through -= $closesAt[$t];
                                        $t++;
                                        $through += $opensAt[$t];
                                    }
                                    if ($giver >= 0) {
                                        $own = $calendars[$z];
                                        $least = $own->finish($out[$giver], $lastPart[$giver]);
                                        [, $through] = self::delayed($own, $r, $through, $least, $setup[$x] + $l, $k);
                                    }
                                    if (
                                        $through <= $pinStart
                                        && $shop->leavesSetup($c, $q, $nth, $family[$x] < 0 ? $standing : $family[$x])
                                    ) {
                                        break;
                                    }
                                }
                                $g = $pinEnd;
                                if ($between[$c] !== null && $pinFamily >= 0) {
                                    // what is pinned there leaves another family behind
                                    $standing = $pinFamily;
                                    $k -= $l;
                                    $l = $isChanged[$x] ? $between[$c][$standing][$family[$x]] : 0;
                                    $k += $l;
                                    $r = $mayBeAhead[$x] && $ahead[$x] + $l > 0
                                        ? max(0, $calendars[$z]->startFor($ready, $ahead[$x] + $l))
                                        : $ready;
                                }
                                if ($g > $r) {
                                    $r = $g;
                                }
                            }
                        }
                        $t = $r >> 6;
                        $t = $t < $buckets ? $bucket[$bucketBase[$z] + $t] : $lastWindow[$z];
                        while ($closesAt[$t] <= $r) {
                            $t++;
                        }
                        if ($opensAt[$t] > $r) {
                            $r = $opensAt[$t];
                        }
                        $k += $r;
                        while ($k > $closesAt[$t]) {
                            $k -= $closesAt[$t];
                            $t++;
                            $k += $opensAt[$t];
                        }
                        if ($giver >= 0) {
                            $own = $calendars[$z];
                            $least = $own->finish($out[$giver], $lastPart[$giver]);
                            [$r, $k] = self::delayed($own, $r, $k, $least, $setup[$x] + $l, $work[$x] + $l);
                        }
                        if ($k < $e || ($k === $e && $g > $f)) {
                            $e = $k;
                            $s = $r;
                            $f = $g;
                            $o = $q;
                            $h = $l;
                        }
                    }
                    $b = $x * $wide;
                    $z = $changes * $wide;
                    $isNew = $e !== $end[$x] || $x === $forced;
                    if ($spot !== null) {
                        $logSpot[$changes] = $people->spots[$x] ?? null;
                        $isNew = $isNew || ! $spot->takesAsMuchAs($logSpot[$changes]);
                    }
                    // what joins a load takes no more of the machine
                    $taken = $spot?->load === null || $spot->load->by === $x ? $o : -1;
                    $m = $machines[$c];
                    for ($q = 0; $q < $m; $q++) {
                        $logFree[$z] = $free[$b];
                        $logSet[$z++] = $set[$b];
                        if ($q === $taken) {
                            $g = $y < 0 || $free[$a + $q] < $e ? $e : $free[$a + $q];
                            $k = $y < 0 ? $familyNow[$c][$q] : $set[$a + $q];
                            if ($isPinning && isset($kept[$c][$q])) {
                                // it stands behind what is pinned there, and that behind what came sooner
                                $r = $y < 0 ? 0 : $free[$a + $q];
                                foreach ($kept[$c][$q] as [, $pinEnd, $pinFamily]) {
                                    $k = $pinFamily >= 0 && $pinEnd > $r && $pinEnd <= $e ? $pinFamily : $k;
                                }
                            }
                            $k = $family[$x] >= 0 && $g === $e ? $family[$x] : $k;
                        } else {
                            $g = $y < 0 ? 0 : $free[$a + $q];
                            $k = $y < 0 ? $familyNow[$c][$q] : $set[$a + $q];
                        }
                        if ($free[$b] !== $g || $set[$b] !== $k) {
                            $free[$b] = $g;
                            $set[$b] = $k;
                            $isNew = true;
                        }
                        $b++;
                    }
                    if (! $isNew) {
                        continue;
                    }
                    if ($people !== null && $spot !== null) {
                        $people->stands($x, $spot);
                    }
                    $logOn[$changes] = $on[$x];
                    $logChange[$changes] = $change[$x];
                    $on[$x] = $o;
                    $change[$x] = $h;
                } else {
                    if ($ahead[$x] > 0) {
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
                    if ($giver >= 0) {
                        $least = $opens[$c]->finish($out[$giver], $lastPart[$giver]);
                        [$s, $e] = self::delayed($opens[$c], $s, $e, $least, $setup[$x], $work[$x]);
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
                            if ($h === $f && $k === $g && $e === $end[$x] && $x !== $forced) {
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
                            $changed = $e !== $end[$x] || $x === $forced;
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
                $first = -1;
                if ($isPassing && $firstPart[$x] >= 0) {
                    $own = $isVaried[$c] ? $calendars[$calendarOf[$c][$on[$x]]] : $opens[$c];
                    if ($pinned[$x] !== null) {
                        $first = $pinned[$x]->firstOut;
                    } elseif ($spot !== null && $isAsked[$c]) {
                        $first = $spot->firstOut;
                    } else {
                        $first = $own->finish($s, $setup[$x] + ($isVaried[$c] ? $change[$x] : 0) + $firstPart[$x]);
                        // no time at all until the first is out: it is out when the run begins, not when setup ends
                        $first = $firstPart[$x] > 0 ? $first : $own->nextOpen($first);
                        $first = $first < $e ? $first : $e;
                    }
                    $first = $plainOut[$x] ? $first : $net->out($x, $first, $c);
                }
                $isSame = $e === $end[$x] && $x !== $forced && (! $isPriced || $s === $start[$x]);
                if ($isSame && $first === $firstOut[$x]) {
                    if ($c < 0 || ! $isVector[$c]) {
                        continue;
                    }
                    $logX[$changes] = $x;
                    $logStart[$changes] = $start[$x];
                    $logFirst[$changes] = $first;
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
                if ($isPassing) {
                    $logFirst[$changes] = $firstOut[$x];
                    $firstOut[$x] = $first;
                }
                if ($isPriced) {
                    $logStart[$changes] = $start[$x];
                    if (isset($price[$x])) {
                        $moved += ($start[$x] === $was[$x] ? $price[$x] : 0) - ($s === $was[$x] ? $price[$x] : 0);
                    }
                    $start[$x] = $s;
                }
                $changes++;
                $end[$x] = $e;
                $out[$x] = $plainOut[$x] ? $e : $net->out($x, $e, $c);
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
            $now = ($tardiness + $moved) * 1000 + $flow;
            if ($i < 0 || $now - $energy <= $threshold) {
                $energy = $now;
                $full = $tardiness + $moved;
                if ($full < $bestCost || ($full === $bestCost && $flow < $bestFlow)) {
                    $bestCost = $full;
                    $bestFlow = $flow;
                    $best = $at;
                    $bestWay = $way;
                }

                continue;
            }
            // refused: everything back
            for ($k = 0; $k < $breaks; $k++) {
                $isBroken[$logBroken[$k]] = ! $isBroken[$logBroken[$k]];
            }
            for ($k = 0; $k < $tries; $k++) {
                $tried[$logTriedX[$k]] = $logTried[$k];
            }
            for ($k = 0; $k < $changes; $k++) {
                $x = $logX[$k];
                $end[$x] = $logEnd[$k];
                $c = $centre[$x];
                $out[$x] = $plainOut[$x] ? $end[$x] : $net->out($x, $end[$x], $c);
                if ($isPriced) {
                    $start[$x] = $logStart[$k];
                }
                if ($isPassing) {
                    $firstOut[$x] = $logFirst[$k];
                }
                if ($c >= 0 && $isVector[$c]) {
                    $m = $machines[$c];
                    $b = $k * $wide;
                    $a = $x * $wide;
                    if ($isVaried[$c]) {
                        $on[$x] = $logOn[$k];
                        $change[$x] = $logChange[$k];
                        if ($people !== null && $isAsked[$c] && $pinned[$x] === null) {
                            $people->putBack($x, $logSpot[$k]);
                        }
                        for ($y = 0; $y < $m; $y++) {
                            $set[$a + $y] = $logSet[$b + $y];
                        }
                    }
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
            if ($forced >= 0) {
                $way[$forced] = $wayWas;
                $choice = $choices[$forced][$wayWas] ?? [0, 0, 0, 0];
                [$centre[$forced], $work[$forced], $ahead[$forced], $setup[$forced]] = $choice;
                $out[$forced] = $plainOut[$forced]
                    ? $end[$forced]
                    : $net->out($forced, $end[$forced], $centre[$forced]);
                $people?->putBack($forced, $forcedSpot);
            }
            $tardiness = $wasTardiness;
            $flow = $wasFlow;
            $moved = $wasMoved;
        }

        return new Found(array_values($best), $bestCost, $bestFlow, max(0, $done), $isCut, $bestWay);
    }

    /**
     * Begun so late that it does not end before the last part can be through; as Times has it.
     *
     * @return array{int, int} start, end
     */
    private static function delayed(Windows $open, int $start, int $end, int $least, int $setup, int $work): array
    {
        while ($end < $least) {
            $next = $open->startFor($least, $work - $setup);
            $next = $setup > 0 ? $open->startFor($next, $setup) : $next;
            $start = $open->nextOpen(max($start + 1, $next));
            $end = $open->finish($start, $work);
            if ($end >= Windows::NEVER) {
                break;
            }
        }

        return [$start, $end];
    }
}
