<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Carbon\CarbonImmutable;

/** When an order is finished by the live plan, and what that means for its date. */
final readonly class PlannedFinish
{
    /** @param  string  $unplaced  why it has no place in the plan */
    private function __construct(
        public ?CarbonImmutable $finishAt,
        public ?CarbonImmutable $dueAt,
        public int $lateMinutes,
        public string $unplaced,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->momentOrNull('finish_at'),
            $row->momentOrNull('due_at'),
            $row->intOrNull('late_minutes') ?? 0,
            $row->text('unplaced'),
        );
    }

    public static function none(): self
    {
        return new self(null, null, 0, 'It is not in the plan.');
    }

    public function isLate(): bool
    {
        return $this->lateMinutes > 0;
    }
}
