<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Carbon\CarbonImmutable;

/** A plan with the figures it is compared by. */
final readonly class ListedPlan
{
    /**
     * @param  int  $late  orders
     * @param  int  $minutes  open minutes late, of all orders
     * @param  int  $moved  steps that stand elsewhere than in the live plan
     * @param  bool  $isStale  facts were booked since it was worked out
     */
    private function __construct(
        public int $id,
        public string $name,
        public string $says,
        public bool $isLive,
        public ?CarbonImmutable $madeAt,
        public ?string $person,
        public int $late,
        public int $minutes,
        public ?CarbonImmutable $finish,
        public int $moved,
        public bool $isStale,
    ) {
    }

    /**
     * @param  array<int, int>  $moved  by plan
     * @param  int|null  $facts  the newest booking that changed facts
     */
    public static function from(Row $row, array $moved, ?int $facts): self
    {
        $isLive = $row->flag('is_live');

        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('says'),
            $isLive,
            $row->momentOrNull('made_at'),
            $row->textOrNull('person'),
            $row->intOrNull('late') ?? 0,
            $row->intOrNull('minutes') ?? 0,
            $row->momentOrNull('finish'),
            $moved[$row->int('id')] ?? 0,
            ! $isLive && $facts > ($row->intOrNull('booking_id') ?? 0),
        );
    }
}
