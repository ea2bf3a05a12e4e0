<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Way;

/**
 * Work centres whose machines take several operations at once, while a walk moves operations about: which load one may
 * join that is begun by another ahead of it in the order. As Loading has it.
 */
final class Loads
{
    /** @var array<int, array<int, Spot>> by work centre and operation: loads begun by what is pinned there */
    private array $pinned = [];

    public function __construct(private readonly Net $net, private readonly Shop $shop)
    {
        foreach ($shop->pinned as $x => $pin) {
            $way = $net->ways[$x][0];
            if ($this->capacity($way->centre) > 0) {
                $this->pinned[$way->centre][$x] = new Spot(
                    $pin->machine,
                    $pin->start,
                    $pin->end,
                    $pin->changeover,
                    $pin->firstOut,
                    load: new Load($x, $pin->runStart, $way->setup + $pin->changeover, $way),
                );
            }
        }
    }

    /** How much goes on a machine at once; 0 = each step by itself. */
    public function capacity(int $c): int
    {
        return $this->net->problem->workCentres[$this->net->centreKey[$c]]->batch;
    }

    /**
     * The first load of each machine it may join.
     *
     * @param  int  $ready  what it needs is there
     * @param  list<int>  $atLeast  by machine: it must not end before
     * @param  int  $y  what stands ahead of it at the work centre; -1 = nothing
     * @param  array<int, int>  $before  by operation: the one ahead of it at its work centre
     * @param  array<int, int>  $free  when machines are free behind each operation
     * @param  int  $wide  how many of those for each
     * @param  array<int, Spot>  $spots  by operation
     * @return array<int, Spot> by machine
     */
    public function mayJoin(
        int $x,
        Way $way,
        int $ready,
        array $atLeast,
        int $y,
        array $before,
        array $free,
        int $wide,
        array $spots,
    ): array {
        $c = $way->centre;
        if ($this->capacity($c) === 0 || isset($this->shop->pinned[$x])) {
            return [];
        }
        $pinned = $this->pinned[$c] ?? [];
        $used = $found = [];
        for (; $y >= 0; $y = $before[$y]) {
            if ($pinned === [] && max(0, ...array_slice($free, $y * $wide, count($atLeast))) <= $ready) {
                break; // all that stands there is through by then
            }
            $begun = $spots[$y]->load->by ?? -1;
            if ($begun >= 0 && $begun !== $y) {
                $used[$begun] = ($used[$begun] ?? 0) + $this->net->step[$y]->size;
            } elseif ($begun === $y) {
                $found[] = $spots[$y];
            }
        }
        $first = [];
        foreach ([...$found, ...array_values($pinned)] as $spot) {
            $q = $spot->machine;
            if (
                $this->fits($x, $way, $ready, $spot, $used)
                && $spot->end >= $atLeast[$q]
                && (! isset($first[$q]) || $spot->start < $first[$q]->start)
            ) {
                $first[$q] = $spot;
            }
        }

        return $first;
    }

    /** @param  array<int, int>  $used  by operation that began a load: what has joined it */
    private function fits(int $x, Way $way, int $ready, Spot $spot, array $used): bool
    {
        $load = $spot->load;
        if ($load === null || $spot->end <= $ready) {
            return false;
        }
        $step = $this->net->step[$x];
        $hasChanges = $this->net->problem->workCentres[$this->net->centreKey[$way->centre]]->changeovers !== null;
        $isAhead = ! $step->setupNeedsMaterial && ($way->setup > 0 || $hasChanges);
        $room = $this->capacity($way->centre) - $this->net->step[$load->by]->size - ($used[$load->by] ?? 0);

        return $room >= $step->size
            && $this->shop->family[$x] === $this->shop->family[$load->by]
            && ($isAhead ? $load->runStart : $spot->start) >= $ready
            && $load->way->run >= $way->run
            && $load->setup >= $way->setup
            && ($load->way->crewing === null ? $way->crewing === null : $load->way->crewing->isLike($way->crewing));
    }
}
