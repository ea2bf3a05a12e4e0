<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;

/**
 * A linear order by simulating the shop: no machine idles while an operation waits for it, and a rule says which goes
 * first.
 * Due dates and weights of parts are those of what they are for. For crews, families and batches it is only a guess at
 * the times; whoever loads the order works them out.
 */
final class Dispatch
{
    /** @var array<int, int> by operation: usual elapsed minutes from its start until what waits for it can begin */
    private array $span = [];

    /** @var array<int, int> by operation: the latest end by which nothing becomes late */
    private array $latest = [];

    /** @var array<int, int> by operation: the greatest weight of what hangs on it */
    private array $weight = [];

    /** @var array<int, int> by operation: usual elapsed minutes to the end of what hangs on it */
    private array $left = [];

    /** @var array<int, int> by operation: the best rank of what hangs on it */
    private array $rank = [];

    /** @var array<int, list<int>> by work centre: operations whose time has come, or is known */
    private array $waiting = [];

    /** @var array<int, list<int>> by work centre: when its machines are free, in order */
    private array $free = [];

    /** @var array<int, int> by operation: when it is ready */
    private array $ready;

    /** @var array<int, int> by operation: how many it still waits for */
    private array $open = [];

    /** @var array<int, int> by work centre: when it can begin something next */
    private array $next = [];

    /** @var list<int> */
    private array $order = [];

    /** Elapsed minutes of slack at which an operation is felt a third as urgent. */
    private float $felt;

    /** @param  array<int, float>  $factor */
    private function __construct(
        private readonly Net $net,
        private readonly Rule $rule,
        private readonly float $lookAhead,
        private readonly array $factor = [],
    ) {
        $this->ready = $net->release;
        foreach ($net->machines as $c => $machines) {
            $this->waiting[$c] = [];
            $this->free[$c] = array_fill(0, max(1, $machines), 0);
            $this->next[$c] = PHP_INT_MAX;
        }
        $this->measure();
        $this->felt = max(1.0, $this->lookAhead * array_sum($this->span) / max(1, $net->count));
    }

    /**
     * @param  float  $lookAhead  for the weighted tardiness cost: how many usual operations ahead a due date is felt
     * @param  array<int, float>  $factor  for the weighted tardiness cost: by job, how much more urgent than it is
     * @return list<int> operations, started ones first
     */
    public static function order(Net $net, Rule $rule, float $lookAhead = 2.0, array $factor = []): array
    {
        return (new self($net, $rule, $lookAhead, $factor))->run();
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
            $centre = (int) array_search($time, $this->next, true);
            $best = null;
            $bestKey = -INF;
            foreach ($this->waiting[$centre] as $at => $x) {
                if ($this->ready[$x] <= $time && ($key = $this->key($x, $time)) > $bestKey) {
                    $bestKey = $key;
                    $best = $at;
                }
            }
            if ($best === null) {
                break;
            }
            $x = $this->waiting[$centre][$best];
            array_splice($this->waiting[$centre], $best, 1);
            $this->take($x, $time);
            $this->look($centre);
        }

        return $this->order;
    }

    private function arrive(int $x): void
    {
        $centre = $this->net->centre[$x];
        if ($centre < 0) {
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
                max($this->next[$centre], $this->free[$centre][0]),
            );
        }
    }

    private function take(int $x, int $time): void
    {
        $this->order[] = $x;
        $centre = $this->net->centre[$x];
        if ($centre < 0) {
            $lead = $this->net->lead[$x];
            $end = $lead === null ? $time + $this->net->work[$x] : $lead->finish($time, $this->net->work[$x]);
        } else {
            $end = $this->net->open[$centre]->finish(max($time, $this->free[$centre][0]), $this->net->work[$x]);
            $this->free[$centre][0] = $end;
            sort($this->free[$centre]);
        }
        $out = $this->net->out($x, $end);
        foreach ($this->net->after[$x] as $y) {
            $this->ready[$y] = max($this->ready[$y], $out);
            if (--$this->open[$y] === 0 && ! $this->net->step[$y]->started) {
                $this->arrive($y);
            }
        }
    }

    private function key(int $x, int $time): float
    {
        $slack = $this->latest[$x] - $time - $this->span[$x];

        return match ($this->rule) {
            Rule::Rank => -$this->rank[$x] * 1e10 - $this->latest[$x],
            Rule::DueDate => -$this->latest[$x],
            Rule::Slack => -$slack,
            Rule::CriticalRatio => -($slack + $this->left[$x]) / $this->left[$x],
            Rule::Shortest => -$this->net->work[$x],
            Rule::TardinessCost => ($this->factor[$this->net->job[$x]] ?? 1.0) * $this->weight[$x] / $this->span[$x]
                * exp(-max(0, $slack) / $this->felt),
        };
    }

    private function measure(): void
    {
        $net = $this->net;
        $stretch = [];
        foreach ($net->open as $c => $open) {
            $stretch[$c] = $open->stretch();
        }
        for ($x = $net->count - 1; $x >= 0; $x--) {
            $step = $net->step[$x];
            $job = $net->job[$x];
            $centre = $net->centre[$x];
            $this->span[$x] =
                (int) round($net->work[$x] * ($centre < 0 ? 1.0 : $stretch[$centre])) + $step->wait + $step->move;
            $ends = in_array($x, $net->tails[$job], true);
            $this->latest[$x] = $ends ? $net->due[$job] : Windows::NEVER * 4;
            $this->weight[$x] = $ends && $net->due[$job] < Windows::NEVER ? max(1, $net->jobs[$job]->weight) : 1;
            $this->rank[$x] = $net->jobs[$job]->rank;
            $this->left[$x] = 0;
            foreach ($net->after[$x] as $y) {
                $this->latest[$x] = min($this->latest[$x], $this->latest[$y] - $this->span[$y]);
                $this->weight[$x] = max($this->weight[$x], $this->weight[$y]);
                $this->rank[$x] = min($this->rank[$x], $this->rank[$y]);
                $this->left[$x] = max($this->left[$x], $this->left[$y]);
            }
            $this->left[$x] += $this->span[$x];
        }
        foreach (['span', 'latest', 'weight', 'left', 'rank'] as $list) {
            ksort($this->{$list});
        }
    }
}
