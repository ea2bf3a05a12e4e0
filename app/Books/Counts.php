<?php

namespace App\Books;

use App\Models\OrderStep;
use App\Models\StepEntry;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\Pieces;

/** Pieces counted at steps, with the minutes and the clock. */
final class Counts implements Book
{
    /** @var list<array<string, CarbonImmutable|int|string|null>> to be written at the end */
    private array $entries = [];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /**
     * Brings a step to new counts and writes the difference, with the minutes booked.
     *
     * @param  array<string, CarbonImmutable|int|null>  $clock  how the step's clock stood, as StepClock says it
     */
    public function set(
        OrderStep $step,
        Pieces $now,
        int $labourMinutes = 0,
        int $machineMinutes = 0,
        array $clock = [],
    ): void {
        $was = $step->pieces();
        if ($step->isOutside() && $now->toDo()->isLessThan($was->toDo())) {
            Consigned::assertNotThere($step, $now->toDo());
        }
        $this->entries[] = [
            'booking_id' => $this->ledger->booking->id,
            'order_step_id' => $step->id,
            'taken_in' => (string) $now->takenIn->minus($was->takenIn),
            'good' => (string) $now->good->minus($was->good),
            'scrap' => (string) $now->scrap->minus($was->scrap),
            'passed_on' => (string) $now->passedOn->minus($was->passedOn),
            'labour_minutes' => $labourMinutes,
            'machine_minutes' => $machineMinutes,
            ...array_fill_keys(StepClock::COLUMNS, null),
            ...$clock,
        ];
        $step->taken_in = (string) $now->takenIn;
        $step->good = (string) $now->good;
        $step->scrap = (string) $now->scrap;
        $step->passed_on = (string) $now->passedOn;
        $step->booked_minutes += $machineMinutes;
        $step->save();
    }

    /** Nothing is counted yet, but its clock runs from now on. */
    public function started(OrderStep $step, int $by): void
    {
        (new StepClock($step))->start($by);
        $this->set($step, $step->pieces());
    }

    public function locks(Undone $undone): Needs
    {
        return Needs::orders(
            OrderStep::query()->whereKey(self::of($undone)->pluck('order_step_id'))->pluck('order_id'),
        );
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    public function reverse(Undone $undone): void
    {
        $entries = self::of($undone);
        foreach ($entries->reverse() as $entry) {
            $step = OrderStep::query()->findOrFail($entry->order_step_id);
            $this->set(
                $step,
                $this->back($undone, $entry, $step),
                -$entry->labour_minutes,
                -$entry->machine_minutes,
            );
            $clock = new StepClock($step);
            $entry->isStart() || BigDecimal::of($step->taken_in)->isZero() ? $clock->stop() : $clock->back($entry);
        }
    }

    public function flush(): void
    {
        DB::table('step_entries')->insert($this->entries);
        $this->entries = [];
    }

    /** @throws Refused naming what was counted since */
    private function back(Undone $undone, StepEntry $entry, OrderStep $step): Pieces
    {
        try {
            return $step->pieces()->putBack(
                BigDecimal::of($entry->taken_in),
                BigDecimal::of($entry->good),
                BigDecimal::of($entry->scrap),
                BigDecimal::of($entry->passed_on),
                $step->label(),
            );
        } catch (Refused $refused) {
            throw LaterBookings::ofSteps($undone->booking, $step->order_id)->refused($refused->getMessage());
        }
    }

    /** @return Collection<int, StepEntry> */
    private static function of(Undone $undone): Collection
    {
        return $undone->isWhole ? $undone->booking->stepEntries : new Collection();
    }
}
