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
     * @param  array<int, Arrival>  $ifOrdered  by item: when it could be here, of what nothing is ordered for
     * @param  bool  $isOneGo  it has no steps: it starts when all is there
     */
    public static function of(
        array $components,
        ?int $firstStep,
        array $finish,
        array $ifOrdered = [],
        bool $isOneGo = false,
    ): self {
        $blocks = [];
        foreach ($components as $component) {
            $need = $component->need;
            $step = max($need->step, $firstStep ?? 0);
            if ($component->missing->isPositive()) {
                $blocks[] = new Block($step, $need->itemName, null, $ifOrdered[$need->item] ?? null);
            }
            foreach ($component->coming as ['supply' => $supply]) {
                $blocks[] = new Block($step, $need->itemName, $supply->by, $supply->arrives($finish));
            }
        }
        $place = static fn (Block $block): array => [$block->step, $block->supply !== null, $block->arrival->at ?? 0];
        usort($blocks, static fn (Block $a, Block $b): int => $place($a) <=> $place($b));
        $missing = array_filter($blocks, static fn (Block $block): bool => $block->supply === null);
        $first = array_filter($blocks, static fn (Block $block): bool => $block->step === $firstStep);

        return new self(
            $missing !== [] ? ReadinessState::Stuck : ($blocks !== [] ? ReadinessState::Waits : ReadinessState::Ready),
            $isOneGo ? $blocks === [] : $firstStep !== null && $first === [],
            $blocks,
        );
    }
}
