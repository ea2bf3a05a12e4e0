<?php

namespace App\Shop;

use App\Models\Item;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * What it would do to an order were its material had otherwise: supposed, and loaded in the sequences that stand;
 * nothing is written. What it does to the material of steps is kept as the lever.
 */
final class MaterialTrial
{
    public readonly ShopState $shop;

    private readonly Problem $now;

    private ?int $finish = null;

    /** @param  Problem  $problem  the plan was computed from */
    public function __construct(
        private readonly StandingPlan $standing,
        private readonly Problem $problem,
        public readonly int $order,
    ) {
        $this->shop = $standing->shop();
        $this->now = $standing->near($this->shop);
    }

    /** @return list<int> it and the orders that are made for it */
    public function orders(): array
    {
        return [...$this->shop->parts->servants($this->order), $this->order];
    }

    /** Null = it changes nothing about any step. */
    public function tried(Supposed $supposed, string $says, LeverDeed $deed, string $costs = ''): ?PlanLever
    {
        [, $steps] = $this->finishIf($supposed);

        return $steps === [] ? null : $this->lever($steps, $says, $deed, $costs);
    }

    /** @param  array<int, array{int, list<int>}>  $steps */
    public function lever(array $steps, string $says, LeverDeed $deed, string $costs = ''): PlanLever
    {
        return new PlanLever(LeverKind::Material, $says, steps: $steps, costs: $costs, deed: $deed);
    }

    /**
     * When the order would be finished in the sequences that stand, were it so.
     *
     * @return array{int, array<int, array{int, list<int>}>} UTC minute, and what differs in material
     */
    public function finishIf(Supposed $supposed): array
    {
        $steps = Levers::materialOf($this->now, $this->standing->near($this->shop->supposing($supposed)));

        return [$this->finishOf(Levers::material($this->problem, $steps)), $steps];
    }

    public function finish(): int
    {
        return $this->finish ??= $this->finishOf($this->problem);
    }

    /** In the sequences that stand, or taken out of them and put in again where it can go now. */
    private function finishOf(Problem $problem): int
    {
        $steps = $this->standing->steps();
        $own = array_flip(array_map(fn (Step $step): int => $step->id, $this->job()->steps ?? []));
        $finish = array_map(
            fn (array $kept): int => KeptSequence::load($problem, $kept)->finish[$this->order] ?? PHP_INT_MAX,
            [$steps, array_diff_key($steps, $own)],
        );

        return min($finish);
    }

    private function job(): ?Job
    {
        foreach ($this->problem->jobs as $job) {
            if ($job->id === $this->order) {
                return $job;
            }
        }

        return null;
    }

    public function due(): int
    {
        return $this->job()->due ?? 0;
    }

    public static function what(Item $item, BigDecimal $quantity): string
    {
        return Figures::amount($quantity)." {$item->unit->code} {$item->number}";
    }
}
