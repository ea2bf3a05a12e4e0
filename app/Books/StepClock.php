<?php

namespace App\Books;

use App\Models\OrderStep;
use App\Models\StepEntry;
use App\Shop\ShopState;
use App\Shop\WorkCentreHours;
use Carbon\CarbonImmutable;
use KeepPace\Core\Routing\Spell;

/** The clock of one step: a start begins a spell, each count closes it and begins the next. */
final readonly class StepClock
{
    private CarbonImmutable $now;

    public function __construct(private OrderStep $step)
    {
        $this->now = CarbonImmutable::now()->startOfSecond();
    }

    /** What it keeps of how it stood. */
    public const COLUMNS = ['spell_from', 'spell_to', 'started_at', 'started_by'];

    public function start(int $userId): void
    {
        $this->step->started_at = $this->now;
        $this->step->started_by = $userId;
        $this->step->spell_from = $this->step->isOutside() ? null : $this->now;
        $this->step->save();
    }

    /** Minutes of the present spell, of the machine where nobody need be there; 0 when no clock runs. */
    public function minutes(): int
    {
        if ($this->step->spell_from === null || $this->step->work_centre_id === null) {
            return 0;
        }
        [$from, $to] = [ShopState::minute($this->step->spell_from), ShopState::minute($this->now)];
        $open = WorkCentreHours::between($this->step->work_centre_id, $from, $to);

        return (new Spell($open, $from, $to))->machine($this->step->crew === 0);
    }

    /**
     * How it stands before a count, for a reversal to put back.
     *
     * @return array<string, CarbonImmutable|int|null>
     */
    public function stands(): array
    {
        return [
            'spell_from' => $this->step->spell_from,
            'spell_to' => $this->step->spell_from === null ? null : $this->now,
            'started_at' => $this->step->started_at,
            'started_by' => $this->step->started_by,
        ];
    }

    /** After a count: on with the next spell, or stopped when all is counted. */
    public function counted(): void
    {
        if ($this->step->started_at === null) {
            return;
        }
        if ($this->step->pieces()->toDo()->isZero()) {
            $this->stop();
        } elseif ($this->step->spell_from !== null) {
            $this->step->spell_from = $this->now;
            $this->step->save();
        }
    }

    public function stop(): void
    {
        $this->step->fill(['started_at' => null, 'started_by' => null, 'spell_from' => null])->save();
    }

    /** A count was reversed: its time is to be counted again, unless something was counted at the step after it. */
    public function back(StepEntry $entry): void
    {
        $isLast = ! StepEntry::query()
            ->where('order_step_id', $entry->order_step_id)
            ->where('booking_id', '>', $entry->booking_id)
            ->whereRelation('booking', 'reverses_id', null)
            ->exists();
        $ranOn = $this->step->started_at !== null && $entry->started_at?->equalTo($this->step->started_at) === true;
        if ($entry->started_at === null || ! $isLast || ($this->step->started_at !== null && ! $ranOn)) {
            return;
        }
        $this->step->fill([
            'started_at' => $entry->started_at,
            'started_by' => $entry->started_by,
            'spell_from' => $entry->spell_from,
        ])->save();
    }
}
