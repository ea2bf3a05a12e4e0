<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Loading\CrewBook;
use KeepPace\Core\Scheduling\Loading\Ground;
use KeepPace\Core\Scheduling\Loading\Pinned;
use KeepPace\Core\Scheduling\Loading\Times;
use KeepPace\Core\Scheduling\Net\Net;

/**
 * A linear order by simulating the shop: no machine idles while an operation waits for it, and a rule says which goes
 * first. Nor does a crew, where people are asked for.
 * Due dates and weights of parts are those of what they are for. For crews, families and batches it is only a guess at
 * the times; whoever loads the order works them out.
 */
final class Dispatch
{
    /** What is pinned further ahead than that keeps no machine from what comes before it: minutes. */
    private const SOON = 240;

    /** @var array<int, list<int>> by work centre: operations whose time has come, or is known */
    private array $waiting = [];

    /** @var array<int, Lanes> by work centre */
    private array $lanes = [];

    /** @var array<int, CrewBook> by crew */
    private array $books = [];

    /** @var array<int, bool> by operation: the rules of loading are asked when there are people for it */
    private array $hasPeople = [];

    /** @var array<int, Pinned> by operation */
    private readonly array $pins;

    /** @var array<int, int> by operation: when what it needs is there */
    private array $material;

    /** @var array<int, int> by operation: when it is ready */
    private array $ready;

    /** @var array<int, int> by operation: how many it still waits for */
    private array $open = [];

    /** @var array<int, int> by work centre: when it can begin something next */
    private array $next = [];

    /** @var list<int> */
    private array $order = [];

    /** @var array<int, int> by operation: when it begins */
    private array $began = [];

    private readonly Urgency $urgency;

    /** Elapsed minutes of slack at which an operation is felt a third as urgent. */
    private float $felt;

    /** @param  array<int, float>  $factor */
    private function __construct(
        private readonly Net $net,
        private readonly Rule $rule,
        private readonly float $lookAhead,
        private readonly array $factor,
        private readonly bool $withPeople,
    ) {
        $this->ready = $this->material = $net->release;
        foreach (array_keys($net->machines) as $c) {
            $this->waiting[$c] = [];
            $this->lanes[$c] = new Lanes($net, $c);
            $this->next[$c] = PHP_INT_MAX;
        }
        $this->pins = Ground::pins($net);
        $this->crews();
        $this->urgency = Urgency::of($net);
        $this->felt = max(1.0, $this->lookAhead * $this->urgency->usualSpan());
    }

    /**
     * @param  float  $lookAhead  for the weighted tardiness cost: how many usual operations ahead a due date is felt
     * @param  array<int, float>  $factor  for the weighted tardiness cost: by job, how much more urgent than it is
     * @param  bool  $withPeople  nothing begins there are no people for; which of both is better, the shop decides
     * @return list<int> operations, started ones first
     */
    public static function order(
        Net $net,
        Rule $rule,
        float $lookAhead = 2.0,
        array $factor = [],
        bool $withPeople = true,
    ): array {
        return (new self($net, $rule, $lookAhead, $factor, $withPeople))->run();
    }

    /** @return list<int> */
    private function run(): array
    {
        foreach ($this->net->before as $x => $before) {
            $this->open[$x] = count($before);
        }
        foreach ($this->net->step as $x => $step) {
            if ($step->started) {
                $this->take($x, 0);
            }
        }
        foreach ($this->net->before as $x => $before) {
            if ($before === [] && ! $this->net->step[$x]->started) {
                $this->arrive($x);
            }
        }
        while ($this->next !== [] && ($time = min($this->next)) < PHP_INT_MAX) {
            $best = $this->best($time);
            if ($best === null) {
                continue; // nobody is there: it is looked at again when somebody is
            }
            [$centre, $at, $times] = $best;
            $x = $this->waiting[$centre][$at];
            array_splice($this->waiting[$centre], $at, 1);
            $this->take($x, $time, $times);
            $this->look($centre);
        }

        return $this->pins === [] ? $this->order : $this->withPinsInTime();
    }

    /**
     * What is pinned stands in the order where its time comes, or just before what needs it: nothing behind it in the
     * order goes in front of it.
     *
     * @return list<int>
     */
    private function withPinsInTime(): array
    {
        $order = $held = [];
        foreach ($this->order as $x) {
            if (isset($this->pins[$x])) {
                $held[$x] = $this->began[$x];

                continue;
            }
            asort($held);
            $isNeeded = array_intersect_key(array_flip($this->net->before[$x]), $held) !== [];
            foreach ($held as $pinned => $began) {
                if ($isNeeded || $began <= $this->began[$x]) {
                    $order[] = $pinned;
                    unset($held[$pinned]);
                }
            }
            $order[] = $x;
        }
        asort($held);

        return [...$order, ...array_keys($held)];
    }

    /**
     * The most urgent of those that can begin at a minute, and its times where people are asked for. Work centres where
     * none can, for want of people, are put off until one can.
     *
     * @return array{int, int, Times|null}|null its work centre, its place among those that wait there
     */
    private function best(int $time): ?array
    {
        $best = null;
        $bestKey = -INF;
        foreach ($this->next as $centre => $next) {
            if ($next !== $time) {
                continue;
            }
            $keys = [];
            foreach ($this->waiting[$centre] as $at => $x) {
                if ($this->ready[$x] <= $time) {
                    $keys[$at] = $this->key($x, $time);
                }
            }
            arsort($keys);
            $again = PHP_INT_MAX;
            foreach ($keys as $at => $key) {
                $x = $this->waiting[$centre][$at];
                $times = $this->hasPeople[$x] ? $this->times($x, $time) : null;
                if ($times === null || $times->start <= $time) {
                    if ($key > $bestKey) {
                        $bestKey = $key;
                        $best = [$centre, $at, $times];
                    }

                    continue 2;
                }
                $again = min($again, $times->start);
            }
            foreach ($this->waiting[$centre] as $x) {
                $again = $this->ready[$x] > $time ? min($again, $this->ready[$x]) : $again;
            }
            $this->next[$centre] = $again;
        }

        return $best;
    }

    private function crews(): void
    {
        $ground = Ground::of($this->net);
        foreach ($this->net->asked === [] || ! $this->withPeople ? [] : $ground->crews as $key => $there) {
            $this->books[$key] = new CrewBook($there);
        }
        foreach ($this->pins as $x => $pin) {
            $this->takePeople($x, $pin->uses);
        }
        foreach ($this->net->ways as $x => $ways) {
            $need = $ways[0]->crewing ?? null;
            $c = $ways[0]->centre ?? -1;
            $this->hasPeople[$x] = $need !== null && isset($this->books[$need->crew], $this->net->asked[$c])
                && $this->net->problem->workCentres[$this->net->centreKey[$c]]->batch === 0;
        }
    }

    /** As the rules of loading have it; null = it has no place any more. */
    private function times(int $x, int $time): ?Times
    {
        $way = $this->net->ways[$x][0];
        $need = $way->crewing;
        $open = $this->net->open[$way->centre];
        $calendars = Ground::of($this->net)->calendars;

        return $need === null ? null : Times::of(
            $this->net->step[$x],
            $way,
            $way->setup + $this->changeover($x),
            $time,
            $this->material[$x],
            0,
            $calendars->of($open, $need->crew, $need->setup, $need->qualification),
            $calendars->of($open, $need->crew, $need->run, $need->qualification),
            $this->books[$need->crew],
        );
    }

    private function arrive(int $x): void
    {
        $centre = $this->net->centre[$x];
        if ($centre < 0 || isset($this->pins[$x])) {
            $this->take($x, $this->ready[$x]);

            return;
        }
        if ($this->net->ahead[$x] > 0) {
            $this->ready[$x] = max(0, $this->net->open[$centre]->startFor($this->ready[$x], $this->net->ahead[$x]));
        }
        $this->waiting[$centre][] = $x;
        $this->look($centre);
    }

    private function look(int $centre): void
    {
        $this->next[$centre] = PHP_INT_MAX;
        foreach ($this->waiting[$centre] as $x) {
            $this->next[$centre] = min($this->next[$centre], $this->ready[$x]);
        }
        if ($this->waiting[$centre] !== []) {
            $this->next[$centre] = $this->net->open[$centre]->nextOpen(
                max($this->next[$centre], $this->lanes[$centre]->freeAt()),
            );
        }
    }

    private function take(int $x, int $time, ?Times $times = null): void
    {
        $this->order[] = $x;
        $this->began[$x] = max($time, $this->pins[$x]->start ?? 0);
        $centre = $this->net->centre[$x];
        if (isset($this->pins[$x])) {
            $end = max($time, $this->pins[$x]->end);
            if ($this->pins[$x]->start <= max($time, $this->lanes[$centre]->freeAt()) + self::SOON) {
                $this->lanes[$centre]->take($end, $this->net->step[$x]->family);
                $this->look($centre);
            }
        } elseif ($centre < 0) {
            $lead = $this->net->lead[$x];
            $end = $lead === null ? $time + $this->net->work[$x] : $lead->finish($time, $this->net->work[$x]);
        } else {
            $lanes = $this->lanes[$centre];
            $family = $this->net->step[$x]->family;
            $change = $this->net->step[$x]->started ? 0 : $lanes->changeover($family);
            $end = $times->end ?? $this->net->open[$centre]->finish(
                max($time, $lanes->freeAt()),
                $this->net->work[$x] + $change,
            );
            $lanes->take($end, $family);
            $this->takePeople($x, $times->uses ?? []);
        }
        $out = $this->net->out($x, $end);
        foreach ($this->net->after[$x] as $y) {
            $this->ready[$y] = $this->material[$y] = max($this->ready[$y], $out);
            if (--$this->open[$y] === 0 && ! $this->net->step[$y]->started) {
                $this->arrive($y);
            }
        }
    }

    /** @param  list<int>  $uses */
    private function takePeople(int $x, array $uses): void
    {
        $need = $this->net->ways[$x][0]->crewing;
        $book = $need === null ? null : $this->books[$need->crew] ?? null;
        foreach ($uses as $use) {
            $book?->take($use, $need?->qualification);
        }
    }

    private function key(int $x, int $time): float
    {
        $of = $this->urgency;
        $slack = $of->latest[$x] - $time - $of->span[$x];

        return match ($this->rule) {
            Rule::Rank => -$of->rank[$x] * 1e10 - $of->latest[$x],
            Rule::DueDate => -$of->latest[$x],
            Rule::Slack => -$slack,
            Rule::CriticalRatio => -($slack + $of->left[$x]) / $of->left[$x],
            Rule::Shortest => -$this->net->work[$x],
            Rule::TardinessCost => ($this->factor[$this->net->job[$x]] ?? 1.0) * $of->weight[$x]
                / ($of->span[$x] + $this->changeover($x)) * exp(-max(0, $slack) / $this->felt),
        };
    }

    private function changeover(int $x): int
    {
        $family = $this->net->step[$x]->family;

        return $family === null ? 0 : $this->lanes[$this->net->centre[$x]]->changeover($family);
    }
}
