<?php

namespace App\Queries\Board;

use App\Models\Booking;
use App\Models\Plan;
use App\Reading\Row;
use App\Wording\When;
use Illuminate\Support\Facades\DB;

/** When a plan was last brought up to date, by what, and what that did to the dates. */
final readonly class PlanNews
{
    private function __construct(
        public string $stamp,
        public string $when,
        public string $effect,
        public ?string $undo,
        public ?string $redo,
    ) {
    }

    public static function of(int $planId = Plan::LIVE): self
    {
        $plan = Plan::query()->findOrFail($planId);
        $booking = $plan->booking_id === null ? null : Booking::query()->with('person')->find($plan->booking_id);
        $when = $plan->computed_at === null
                ? 'Never brought up to date'
                : 'Brought up to date '
                    .When::say($plan->computed_at)
                    .($booking === null
                        ? ''
                        : ", last by {$booking->person->name}: ".mb_strimwidth($booking->says, 0, 90, '…'));
        $effect = $booking === null || ! $plan->is_live ? '' : EffectOf::booking($booking->id)->says();

        return new self(
            $plan->stamp,
            $when,
            $effect,
            self::change($planId, isUndone: false),
            self::change($planId, isUndone: true),
        );
    }

    /** What the last deed on a plan said that can be taken back, or done again. */
    private static function change(int $plan, bool $isUndone): ?string
    {
        $changes = DB::table('plan_changes AS c')
            ->join('booking_says AS s', 's.booking_id', 'c.booking_id')
            ->where('c.plan_id', $plan)
            ->where('c.is_undone', $isUndone)
            ->orderBy('c.id', $isUndone ? 'asc' : 'desc');

        return Row::firstText($changes, 's.says');
    }

    /** "Undo: Step 20 of 218 moved to …" */
    public function undoSays(): string
    {
        return self::button('Undo', $this->undo, 60);
    }

    public function redoSays(): string
    {
        return self::button('Do again', $this->redo, 50);
    }

    private static function button(string $deed, ?string $of, int $width): string
    {
        return $of === null ? $deed : "{$deed}: ".mb_strimwidth($of, 0, $width, '…');
    }
}
