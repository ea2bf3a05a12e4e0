<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;

/**
 * What hangs on each operation: due dates, weights and ranks of parts are those of what they are for. Lists are by
 * operation; worked out once for a net.
 */
final class Urgency
{
    /** @var array<int, int> usual elapsed minutes from its start until what waits for it can begin */
    public array $span;

    /** @var array<int, int> the latest end by which nothing becomes late */
    public array $latest;

    /** @var array<int, int> the greatest weight of what hangs on it */
    public array $weight;

    /** @var array<int, int> usual elapsed minutes to the end of what hangs on it */
    public array $left;

    /** @var array<int, int> the best rank of what hangs on it */
    public array $rank;

    /** @var \WeakMap<Net, self>|null */
    private static ?\WeakMap $kept = null;

    private function __construct(Net $net)
    {
        $this->span = $this->latest = $this->weight = $this->left = $this->rank = array_fill(0, $net->count, 0);
        $isLast = array_fill_keys(array_merge(...$net->tails), true);
        for ($x = $net->count - 1; $x >= 0; $x--) {
            $job = $net->job[$x];
            $this->span[$x] = self::usual($net, $x);
            $this->latest[$x] = isset($isLast[$x]) ? $net->due[$job] : Windows::NEVER * 4;
            $hasDate = isset($isLast[$x]) && $net->due[$job] < Windows::NEVER;
            $this->weight[$x] = $hasDate ? max(1, $net->jobs[$job]->weight) : 1;
            $this->rank[$x] = $net->jobs[$job]->rank;
            foreach ($net->after[$x] as $y) {
                $this->latest[$x] = min($this->latest[$x], $this->latest[$y] - $this->span[$y]);
                $this->weight[$x] = max($this->weight[$x], $this->weight[$y]);
                $this->rank[$x] = min($this->rank[$x], $this->rank[$y]);
                $this->left[$x] = max($this->left[$x], $this->left[$y]);
            }
            $this->left[$x] += $this->span[$x];
        }
    }

    public static function of(Net $net): self
    {
        self::$kept ??= new \WeakMap;

        return self::$kept[$net] ??= new self($net);
    }

    private static function usual(Net $net, int $x): int
    {
        $centre = $net->centre[$x];
        $stretch = $centre < 0 ? 1.0 : $net->open[$centre]->stretch();

        return (int) round($net->work[$x] * $stretch) + $net->step[$x]->wait + $net->step[$x]->move;
    }

    /** Elapsed minutes an operation takes, on average. */
    public function usualSpan(): float
    {
        return array_sum($this->span) / max(1, count($this->span));
    }
}
