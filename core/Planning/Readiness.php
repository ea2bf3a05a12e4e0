<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What an order can do now and what it waits for, step by step: a part needed late does not stop the first step. */
final readonly class Readiness
{
    /** @param  list<Block>  $blocks by step; what is not ordered at all before what is coming */
    private function __construct(public ReadinessState $state, public bool $canStart, public array $blocks)
    {
    }

    /**
     * @param  list<Allocated>  $components  of one order
     * @param  int|null  $firstStep  number of the first open step; null when no step is open
     * @param  array<int, int>  $finish  when orders are finished, by order id, from the schedule
     */
    public static function of(array $components, ?int $firstStep, array $finish): self
    {
        $blocks = [];
        foreach ($components as $component) {
            $step = max($component->need->step, $firstStep ?? 0);
            if ($component->missing->isPositive()) {
                $blocks[] = new Block($step, $component->need->itemName, null, null);
            }
            foreach ($component->coming as ['supply' => $supply]) {
                $blocks[] = new Block($step, $component->need->itemName, $supply->name,
                    $supply->order === null ? $supply->at : $finish[$supply->order] ?? null);
            }
        }
        usort($blocks, static fn (Block $a, Block $b): int => [$a->step, $a->supply !== null, $a->at ?? 0] <=> [$b->step,
            $b->supply !== null, $b->at ?? 0]);
        $missing = array_filter($blocks, static fn (Block $block): bool => $block->supply === null);
        $first = array_filter($blocks, static fn (Block $block): bool => $block->step === $firstStep);

        return new self(
            $missing !== [] ? ReadinessState::Stuck : ($blocks !== [] ? ReadinessState::Waits : ReadinessState::Ready),
            $firstStep !== null && $first === [],
            $blocks,
        );
    }
}
