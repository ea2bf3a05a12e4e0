<?php

namespace Bench;

use KeepPace\Core\Planning\OrderState;

/** An order of the year while it is worked on; its rows are written when it is done. */
final class YearOrder
{
    public OrderState $state = OrderState::Firm;

    public ?string $releasedAt = null;

    public ?string $closedAt = null;

    public int $plannedMaterial = 0;

    /** Cents it holds now. */
    public int $cost = 0;

    public int $received = 0;

    public int $receivedValue = 0;

    public int $madeBy = 0;

    /** @var list<array{id: int, item: int, planned: int, used: int, value: int}> */
    public array $components = [];

    /** @var list<YearStep> */
    public array $steps = [];

    public ?YearDemand $demand = null;

    public function __construct(
        public readonly int $id,
        public readonly int $output,
        public readonly int $number,
        public readonly int $day,
        public readonly int $item,
        public readonly int $quantity,
        public readonly string $dueOn,
    ) {
    }
}
