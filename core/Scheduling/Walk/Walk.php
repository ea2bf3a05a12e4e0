<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Net;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Simulated annealing (Kirkpatrick, Gelatt and Vecchi, Science 220 (1983)) for total weighted tardiness over one linear
 * order of all operations, each put behind the others of its work centre on the machine that is free last among those
 * free in time. What is tried is an operation on the critical path of a late job (Moves). Only what changes is worked
 * out again, and is put back if the move is refused.
 */
final class Walk
{
    /** A move is given up when it costs more than this times what the late job it is made for could win. */
    private const HOPE = 1.5;

    /** What a pinned step costs that cannot stand where it is pinned: more than any lateness. */
    public const BROKEN = 1_000_000_000;

    /** One move in so many does an operation in another of its ways, where there are any; a power of two. */
    private const OTHER_WAY = 4;

    private readonly Facts $facts;

    private readonly Moves $moves;

    private readonly Randomizer $random;

    private readonly Pins $pins;

    private readonly ?People $people;

    /** @param  Stands  $stands  what is fixed is not moved; it comes first in every order given */
    public function __construct(Net $net, int $seed, Stands $stands = new Stands)
    {
        $shop = new Shop($net);
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->people = $net->asked === [] ? null : new People($net, $shop);
        $this->facts = new Facts($net, $shop, $stands);
        $this->moves = new Moves($this->facts, $this->people);
        $this->pins = new Pins($this->facts);
    }

    /** Whether people are asked for one by one, and not as machines they stand at. */
    public function isManned(): bool
    {
        return $this->people !== null && $this->people->areAsked;
    }

    /**
     * One cooling from $hot to $cold, in weighted minutes late. With no iterations it works out what an order costs.
     *
     * This is where the time of a search goes: one loop over local lists, which PHP knows to be of whole numbers; taken
     * apart into methods it made a third to a half of the moves. 'x' is an operation, 'y' another, 'c' its work centre,
     * 'q' a machine, 's' and 'e' a start and an end, 'j' a job, 'p' a place in the line.
     *
     * @param  list<int>  $at  operations, each behind those it waits for
     * @param  array<int, int>  $ways  by operation: the one of its ways it is done in to begin with; of those that are
     *     not named the one that ends soonest
     * @param  callable(int, int): bool  $goOn  told the best cost and the iterations so far; false = end
     */
    public function cool(array $at, array $ways, int $iterations, float $hot, float $cold, callable $goOn): Found
    {
        [$facts, $moves, $pins, $people, $random]
            = [$this->facts, $this->moves, $this->pins, $this->people, $this->random];
        [$net, $shop, $flat] = [$facts->net, $facts->shop, $facts->flat];
        $standing = $people?->standing;
        $standing?->clear();
        // what stays as it is
        $count = $net->count;
        $wide = $facts->wide;
        $buckets = $flat->buckets;
        $hasWays = $shop->hasWays;
        $isPinning = $facts->isPinning;
        $isPassing = $facts->isPassing;
        $isPriced = $facts->isPriced;
        [$release, $tails, $due, $machines, $opens]
            = [$net->release, $net->tails, $net->due, $net->machines, $net->open];
        [$previous, $moreBefore, $next, $moreAfter, $tailOf]
            = [$facts->previous, $facts->moreBefore, $facts->next, $facts->moreAfter, $facts->tailOf];
        [$weight, $fixed, $pinned, $firstPart, $lastPart, $isPlainOut]
            = [$facts->weight, $facts->fixed, $facts->pinned, $facts->firstPart, $facts->lastPart, $facts->isPlainOut];
        [$was, $price] = [$facts->stands->was, $facts->stands->price];
        [$isVaried, $isVector, $isAsked, $family, $partsFrom, $otherWays]
            = [$shop->isVaried, $shop->isVector, $shop->isAsked, $shop->family, $shop->partsFrom, $shop->otherWays];
        [$calendars, $calendarOf, $familyNow, $between, $isChanged, $mayBeAhead, $kept]
            = [$shop->calendars, $shop->calendarOf, $shop->familyNow, $shop->between, $shop->isChanged,
                $shop->mayBeAhead, $shop->kept];
        [$opensAt, $closesAt, $bucket, $bucketBase, $lastWindow]
            = [$flat->start, $flat->end, $flat->bucket, $flat->base, $flat->last];
        // in which way each is done
        [$centre, $work, $ahead] = [$net->centre, $net->work, $net->ahead];
        $setup = array_map(static fn (array $of): int => isset($of[0]) ? $of[0]->setup : 0, $net->ways);
        $way = $shop->greedy($at, $ways);
        foreach ($shop->many as $x) {
            [$centre[$x], $work[$x], $ahead[$x], $setup[$x]] = $shop->choices[$x][$way[$x]] ?? [0, 0, 0, 0];
        }
        // its place in the line, the one ahead of it at its work centre and the one behind; when; by operation
        $pos = $prior = $behind = $start = $end = $out = $firstOut = array_fill(0, $count, -1);
        // when the machines of its work centre are free behind an operation, in order; nothing where there is one
        $free = array_fill(0, $wide * $count, 0);
        // where machines differ: of each by number, with what it is set up for; on which it is, after what change
        $set = $shop->isAnyVaried ? array_fill(0, $wide * $count, -1) : [];
        $on = $change = $tried = $mark = array_fill(0, $count, 0);
        $isDirty = array_fill(0, $count, true);
        $isBroken = array_fill(0, $count, false);
        $seen = $last = $rest = array_fill(0, count($machines), -1);
        foreach ($at as $p => $x) {
            $pos[$x] = $p;
            $c = $centre[$x];
            if ($c >= 0) {
                $prior[$x] = $last[$c];
                if ($last[$c] >= 0) {
                    $behind[$last[$c]] = $x;
                }
                $last[$c] = $x;
            }
        }
        $jobs = count($tails);
        $finish = $cost = array_fill(0, $jobs, 0);
        $tardiness = $flow = $energy = 0;
        $moved = array_sum($price);
        $pending = $count;
        $p = $stamp = 0;
        $threshold = INF;
        $temperature = $hot * 1000;
        $ratio = $iterations > 64 ? ($cold / $hot) ** (64 / $iterations) : 1.0;
        // what a move changed, to put it back: lists of fixed length and how much of them counts
        $logX = $logStart = $logEnd = $logJob = $logFinish = array_fill(0, 2 * $count + 2, 0);
        $logCost = $logPrior = $logPriorWas = $logBehind = $logBehindWas = $logX;
        $logFree = array_fill(0, $wide * ($count + 1), 0);
        $logSet = $set === [] ? [] : $logFree;
        $logOn = $logChange = $logFirst = $logTrier = $logTried = $logX;
        $logSpot = array_fill(0, $standing === null ? 0 : $count + 1, null);
        $logBroken = [];
        $changes = $jobChanges = $priorChanges = $behindChanges = $tries = 0;
        $spot = $forcedSpot = $other = $line = null;
        $from = 0;
        $old = [];
        $isCut = false;
        $best = $at;
        $bestWay = $way;
        $forced = -1; // the operation that changes its way
        $wayWas = 0;
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
                    foreach ($shop->pinned as $y => $_) {
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
                    // what is pinned waits for no machine
                    $y = $pinned[$x] === null ? $prior[$x] : -1;
                    $q = $standing === null || $fixed[$x] ? -1 : $standing->waitsFor($x, $pos);
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
                                $from = $prior[$from];
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
                    $y = $v < 0 ? -1 : $prior[$v];
                    for ($k = 0; $y >= 0 && ! $fixed[$y] && $k < 8; $y = $prior[$y], $k++) {
                        if ($otherWays[$y] !== null) {
                            $others[] = $y;
                            break;
                        }
                    }
                }
                if ($v < 0 && $others === []) {
                    continue;
                }
                $draw = $random->nextInt();
                $line = new Line($at, $pos, $prior, $behind, $way, $centre, $work, $end, $out, $free, $set, $wide);
                $stretch = $others !== []
                    ? $moves->toOtherWay($line, $others, $draw)
                    : $moves->forTurn($line, $v, $by, $j, $draw);
                $line = null;
                if ($stretch === null) {
                    continue;
                }
                [$from, $new, $other] = [$stretch->from, $stretch->order, $stretch->other];
                $to = $from + count($new) - 1;
                // what stands before and behind it on each work centre
                $stamp++;
                $standing?->begin();
                if ($standing !== null) {
                    foreach ($stretch->moved as $x) {
                        $mark[$x] = $stamp;
                    }
                }
                $old = [];
                for ($p = $from; $p <= $to; $p++) {
                    $x = $at[$p];
                    $old[] = $x;
                    $c = $centre[$x];
                    if ($c >= 0) {
                        if ($standing !== null && $mark[$x] === $stamp && $isAsked[$c]) {
                            $standing->touch($x);
                        }
                        if ($seen[$c] !== $stamp) {
                            $seen[$c] = $stamp;
                            $last[$c] = $prior[$x];
                        }
                        $rest[$c] = $behind[$x];
                    }
                }
                $forced = $left = -1;
                if ($other !== null) {
                    $forced = $other->operation;
                    $left = $centre[$forced];
                    $c = $other->choice[0];
                    if ($seen[$c] !== $stamp) {
                        $last[$c] = $other->prior;
                        $rest[$c] = $other->behind;
                    }
                    $wayWas = $way[$forced];
                    $way[$forced] = $other->way;
                    $forcedSpot = $standing?->leaves($forced);
                    [$centre[$forced], $work[$forced], $ahead[$forced], $setup[$forced]] = $other->choice;
                }
                $priorChanges = $behindChanges = 0;
                $lowest = $to;
                $pending = 0;
                $p = $from;
                foreach ($new as $x) {
                    $at[$p] = $x;
                    $pos[$x] = $p;
                    $c = $centre[$x];
                    if ($c >= 0) {
                        $y = $last[$c];
                        if ($prior[$x] !== $y || $x === $forced) {
                            $logPrior[$priorChanges] = $x;
                            $logPriorWas[$priorChanges++] = $prior[$x];
                            $prior[$x] = $y;
                            if ($y >= 0) {
                                $logBehind[$behindChanges] = $y;
                                $logBehindWas[$behindChanges++] = $behind[$y];
                                $behind[$y] = $x;
                            }
                            $isDirty[$x] = true;
                            $pending++;
                            if ($p < $lowest) {
                                $lowest = $p;
                            }
                        } elseif ($standing !== null && $mark[$x] === $stamp && $isAsked[$c]) {
                            $isDirty[$x] = true;
                            $pending++;
                        }
                        $last[$c] = $x;
                    }
                    $p++;
                }
                for ($k = $priorChanges - 1; $k >= 0; $k--) {
                    $c = $centre[$logPrior[$k]];
                    $y = $last[$c];
                    if ($behind[$y] !== $rest[$c]) {
                        $logBehind[$behindChanges] = $y;
                        $logBehindWas[$behindChanges++] = $behind[$y];
                        $x = $behind[$y] = $rest[$c];
                        if ($x >= 0) {
                            $logPrior[$priorChanges] = $x;
                            $logPriorWas[$priorChanges++] = $prior[$x];
                            $prior[$x] = $y;
                            $isDirty[$x] = true;
                            $pending++;
                        }
                    }
                }
                if ($left >= 0) {
                    // where it stood: what was ahead of it there and what was behind
                    $y = $last[$left];
                    $x = $rest[$left];
                    if ($y >= 0 && $behind[$y] !== $x) {
                        $logBehind[$behindChanges] = $y;
                        $logBehindWas[$behindChanges++] = $behind[$y];
                        $behind[$y] = $x;
                    }
                    if ($x >= 0 && $prior[$x] !== $y) {
                        $logPrior[$priorChanges] = $x;
                        $logPriorWas[$priorChanges++] = $prior[$x];
                        $prior[$x] = $y;
                        $isDirty[$x] = true;
                        $pending++;
                    }
                }
                $p = $standing === null ? $lowest : $from;
                $draw = $random->nextInt();
                $threshold = -$temperature * log((($draw & 0xFFFFFFFF) + 1) / 4294967297);
            }
            $wasTardiness = $tardiness;
            $wasFlow = $flow;
            $wasMoved = $moved;
            $hopeless = $i < 0 ? PHP_INT_MAX : $wasTardiness + (int) ($threshold / 1000) + (int) (self::HOPE * $hope);
            // work out again what changed
            $changes = $jobChanges = $breaks = $tries = 0;
            for (; $pending > 0 || ($standing !== null && $standing->isTouched && $p < $count); $p++) {
                $x = $at[$p];
                if ($isDirty[$x]) {
                    $isDirty[$x] = false;
                    $pending--;
                } elseif (
                    $standing === null
                    || $tried[$x] >= $standing->to
                    || $end[$x] <= $standing->from
                    || $centre[$x] < 0
                    || ! $isAsked[$centre[$x]]
                    || $pinned[$x] !== null
                    || ! $standing->isTouched($x, $way[$x] ?? 0, $tried[$x], $end[$x])
                ) {
                    continue;
                }
                // when all it needs is there
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
                $giver = $isPassing ? $partsFrom[$x] : -1;
                if ($giver >= 0 && $firstOut[$giver] > $ready) {
                    $ready = $firstOut[$giver];
                }
                $c = $centre[$x];
                $y = $prior[$x];
                if ($c < 0) {
                    $s = $ready;
                    $e = $net->lead[$x] === null ? $ready + $work[$x] : $net->lead[$x]->finish($ready, $work[$x]);
                } elseif ($isVaried[$c]) {
                    // machines that differ, or rules of loading that are asked
                    $spot = null;
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
                    } elseif ($people !== null && $isAsked[$c]) {
                        $spot = $people->place(
                            $x,
                            $way[$x] ?? 0,
                            $ready,
                            $giver < 0 ? null : [$out[$giver], $lastPart[$giver]],
                            $firstPart[$x],
                            $y,
                            $prior,
                            $free,
                            $set,
                            $wide,
                            $pos,
                            $pos[$x],
                        );
                        [$o, $s, $e, $h] = [$spot->machine, $spot->start, $spot->end, $spot->changeover];
                        $logTrier[$tries] = $x;
                        $logTried[$tries++] = $tried[$x];
                        $tried[$x] = $spot->tried;
                    } else {
                        // every machine is tried: the one where it ends soonest, of those the one free last
                        $m = $machines[$c];
                        $a = $y * $wide;
                        $e = PHP_INT_MAX;
                        $f = $o = -1;
                        $s = $h = 0;
                        for ($q = 0; $q < $m; $q++) {
                            $g = $y < 0 ? 0 : $free[$a + $q];
                            $k = $work[$x];
                            if ($g + $k > $e) {
                                continue;
                            }
                            $l = 0;
                            $setFor = -1;
                            if ($between[$c] !== null) {
                                $setFor = $y < 0 ? $familyNow[$c][$q] : $set[$a + $q];
                                $l = $setFor < 0 || ! $isChanged[$x] ? 0 : $between[$c][$setFor][$family[$x]];
                            }
                            $z = $calendarOf[$c][$q];
                            $r = $ready;
                            if ($mayBeAhead[$x] && $ahead[$x] + $l > 0) {
                                $r = max(0, $calendars[$z]->startFor($r, $ahead[$x] + $l));
                            }
                            if ($g > $r) {
                                $r = $g;
                            }
                            if ($isPinning && isset($kept[$c][$q])) {
                                $lastIn = $giver < 0 ? null : [$out[$giver], $lastPart[$giver]];
                                $takes = [$k, $ahead[$x], $setup[$x]];
                                [$g, $l, $r]
                                    = $pins->goAround($x, $c, $q, $setFor, $takes, $ready, $lastIn, [$g, $l, $r]);
                            }
                            $t = $r >> 6;
                            $t = $t < $buckets ? $bucket[$bucketBase[$z] + $t] : $lastWindow[$z];
                            while ($closesAt[$t] <= $r) {
                                $t++;
                            }
                            if ($opensAt[$t] > $r) {
                                $r = $opensAt[$t];
                            }
                            $k += $r + $l;
                            while ($k > $closesAt[$t]) {
                                $k -= $closesAt[$t];
                                $t++;
                                $k += $opensAt[$t];
                            }
                            if ($giver >= 0) {
                                $own = $calendars[$z];
                                $least = $own->finish($out[$giver], $lastPart[$giver]);
                                [$r, $k]
                                    = $own->endingNotBefore($least, $r, $k, $setup[$x] + $l, $work[$x] + $l);
                            }
                            if ($k < $e || ($k === $e && $g > $f)) {
                                $e = $k;
                                $s = $r;
                                $f = $g;
                                $o = $q;
                                $h = $l;
                            }
                        }
                    }
                    // what it leaves to those behind it: when each machine is free, and what it is set up for
                    $b = $x * $wide;
                    $z = $changes * $wide;
                    $a = $y * $wide;
                    $isNew = $e !== $end[$x] || $x === $forced;
                    if ($spot !== null) {
                        $logSpot[$changes] = $standing->spots[$x] ?? null;
                        $isNew = $isNew || ! $spot->takesAsMuchAs($logSpot[$changes]);
                    }
                    // what joins a load takes no more of the machine
                    $taken = $spot?->load === null || $spot->load->by === $x ? $o : -1;
                    $m = $machines[$c];
                    for ($q = 0; $q < $m; $q++) {
                        $logFree[$z] = $free[$b];
                        $logSet[$z++] = $set[$b];
                        $g = $y < 0 ? 0 : $free[$a + $q];
                        $k = $y < 0 ? $familyNow[$c][$q] : $set[$a + $q];
                        if ($q === $taken) {
                            if ($isPinning && isset($kept[$c][$q])) {
                                // it stands behind what is pinned there, and that behind what came sooner
                                foreach ($kept[$c][$q] as [, $pinEnd, $pinFamily]) {
                                    $k = $pinFamily >= 0 && $pinEnd > $g && $pinEnd <= $e ? $pinFamily : $k;
                                }
                            }
                            $g = $y < 0 || $g < $e ? $e : $g;
                            $k = $family[$x] >= 0 && $g === $e ? $family[$x] : $k;
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
                    if ($standing !== null && $spot !== null) {
                        $standing->stands($x, $spot);
                    }
                    $logOn[$changes] = $on[$x];
                    $logChange[$changes] = $change[$x];
                    $on[$x] = $o;
                    $change[$x] = $h;
                } else {
                    // one machine, or several alike
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
                        [$s, $e] = $opens[$c]->endingNotBefore($least, $s, $e, $setup[$x], $work[$x]);
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
                            $isNew = $e !== $end[$x] || $x === $forced;
                            $other = $gone === 0 ? 1 : 0;
                            $isIn = false;
                            for ($q = 0; $q < $m; $q++) {
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
                                    $isNew = true;
                                }
                                $b++;
                            }
                            if (! $isNew) {
                                continue;
                            }
                        }
                    }
                }
                // when its first part is out
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
                    $first = $isPlainOut[$x] ? $first : $net->out($x, $first, $c);
                }
                $isSame = $e === $end[$x] && $x !== $forced && (! $isPriced || $s === $start[$x]);
                if ($isSame && $first === $firstOut[$x]) {
                    if ($c < 0 || ! $isVector[$c]) {
                        continue;
                    }
                    // only those behind it have to look
                    $logX[$changes] = $x;
                    $logStart[$changes] = $start[$x];
                    $logFirst[$changes] = $first;
                    $logEnd[$changes++] = $e;
                    $y = $behind[$x];
                    if ($y >= 0 && ! $isDirty[$y]) {
                        $isDirty[$y] = true;
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
                $out[$x] = $isPlainOut[$x] ? $e : $net->out($x, $e, $c);
                // those that have to look: behind it, and what waits for it
                $y = $behind[$x];
                if ($y >= 0 && ! $isDirty[$y]) {
                    $isDirty[$y] = true;
                    $pending++;
                }
                $y = $next[$x];
                if ($y >= 0) {
                    if (! $isDirty[$y]) {
                        $isDirty[$y] = true;
                        $pending++;
                    }
                    if ($moreAfter[$x] !== null) {
                        foreach ($moreAfter[$x] as $y) {
                            if (! $isDirty[$y]) {
                                $isDirty[$y] = true;
                                $pending++;
                            }
                        }
                    }
                }
                $j = $tailOf[$x];
                if ($j < 0) {
                    continue;
                }
                // how late its job is
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
                    // it cannot win that back
                    $threshold = -INF;
                    for ($p++; $pending > 0; $p++) {
                        if ($isDirty[$at[$p]]) {
                            $isDirty[$at[$p]] = false;
                            $pending--;
                        }
                    }
                    break;
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
                $tried[$logTrier[$k]] = $logTried[$k];
            }
            for ($k = 0; $k < $changes; $k++) {
                $x = $logX[$k];
                $end[$x] = $logEnd[$k];
                $c = $centre[$x];
                $out[$x] = $isPlainOut[$x] ? $end[$x] : $net->out($x, $end[$x], $c);
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
                        if ($standing !== null && $isAsked[$c] && $pinned[$x] === null) {
                            $standing->putBack($x, $logSpot[$k]);
                        }
                        for ($q = 0; $q < $m; $q++) {
                            $set[$a + $q] = $logSet[$b + $q];
                        }
                    }
                    for ($q = 0; $q < $m; $q++) {
                        $free[$a++] = $logFree[$b++];
                    }
                }
            }
            for ($k = $jobChanges - 1; $k >= 0; $k--) {
                $finish[$logJob[$k]] = $logFinish[$k];
                $cost[$logJob[$k]] = $logCost[$k];
            }
            for ($k = $priorChanges - 1; $k >= 0; $k--) {
                $prior[$logPrior[$k]] = $logPriorWas[$k];
            }
            for ($k = $behindChanges - 1; $k >= 0; $k--) {
                $behind[$logBehind[$k]] = $logBehindWas[$k];
            }
            $p = $from;
            foreach ($old as $x) {
                $at[$p] = $x;
                $pos[$x] = $p;
                $p++;
            }
            if ($forced >= 0) {
                $way[$forced] = $wayWas;
                [$centre[$forced], $work[$forced], $ahead[$forced], $setup[$forced]]
                    = $shop->choices[$forced][$wayWas] ?? [0, 0, 0, 0];
                $out[$forced] = $isPlainOut[$forced]
                    ? $end[$forced]
                    : $net->out($forced, $end[$forced], $centre[$forced]);
                $standing?->putBack($forced, $forcedSpot);
            }
            $tardiness = $wasTardiness;
            $flow = $wasFlow;
            $moved = $wasMoved;
        }

        return new Found(array_values($best), $bestCost, $bestFlow, max(0, $done), $isCut, $bestWay);
    }
}
