<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** How far the live plan is behind what is booked, and since when it stands still, if it does. */
final readonly class PlanAge
{
    /** Seconds a booking waits to be planned before it is said that nobody plans. */
    private const LONG = 30;

    private function __construct(
        public string $stamp,
        private ?CarbonImmutable $computedAt,
        public int $behind,
        private int $seconds,
        private string $failure,
        private ?CarbonImmutable $failedAt,
    ) {
    }

    public static function now(): self
    {
        $query = DB::table('plans AS p')
            ->crossJoin('planner AS r')
            ->where('p.id', Plan::LIVE)
            ->select(['p.stamp', 'p.computed_at', 'r.failure', 'r.failed_at'])
            ->selectRaw('(SELECT COUNT(*) FROM unplanned) AS behind')
            ->selectRaw('(SELECT TIMESTAMPDIFF(SECOND, MIN(since), NOW(3)) FROM unplanned) AS seconds');

        return Row::first($query, fn (Row $row): self => new self(
            $row->text('stamp'),
            $row->momentOrNull('computed_at'),
            $row->int('behind'),
            $row->intOrNull('seconds') ?? 0,
            $row->text('failure'),
            $row->momentOrNull('failed_at'),
        )) ?? new self('', null, 0, 0, 'there is no live plan.', null);
    }

    public function standsStill(): bool
    {
        return $this->failure !== '' || $this->seconds >= self::LONG;
    }

    /** "plan 3 behind" */
    public function short(): string
    {
        return match (true) {
            $this->standsStill() => 'plan stands still',
            $this->behind > 0 => "plan {$this->behind} behind",
            default => '',
        };
    }

    /** The whole sentence: since when, and why. */
    public function says(): string
    {
        $at = $this->failedAt ?? $this->computedAt;
        $since = $at === null ? '' : ' since '.When::say($at);

        return match (true) {
            $this->failure !== '' => "The plan stands still{$since}: ".rtrim($this->failure, '.')
                .'. What is booked stands; dates on the pages are those of before.',
            $this->standsStill() => "The plan stands still{$since}: nobody plans. "
                .'What is booked stands; dates on the pages are those of before.',
            $this->behind > 0 => ($this->behind === 1 ? '1 booking is' : "{$this->behind} bookings are")
                .' not in the plan yet.',
            default => '',
        };
    }
}
