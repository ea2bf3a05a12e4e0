<?php

namespace App\Http\Requests;

use App\Shop\PlantCalendar;
use App\Wording\When;
use KeepPace\Core\Calendar\TypedDay;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Refused;

/**
 * A day as people type it. What is validated is "YYYY-MM-DD"; what was typed goes back into the form when it is wrong.
 * A closed day is asked about; an exclamation mark behind it says that it is meant.
 */
final class PlainDay extends ReadAsTyped
{
    /** @param  bool  $isWorked  it should be a day on which the plant works */
    public function __construct(
        private readonly int $yearsBack = 2,
        private readonly int $yearsAhead = 5,
        private readonly bool $isWorked = false,
    ) {
    }

    protected function valueOf(string $typed): string
    {
        return $this->read($typed);
    }

    /**
     * @return string "YYYY-MM-DD".
     *
     * @throws Refused
     */
    public function read(string $typed): string
    {
        $isMeant = str_ends_with(rtrim($typed), '!');
        $days = self::between($this->yearsBack, $this->yearsAhead);
        $day = $days->read($isMeant ? substr(rtrim($typed), 0, -1) : $typed);
        $plant = $this->isWorked && ! $isMeant ? PlantCalendar::known() : null;
        if ($plant !== null && ! $plant->isWorkingDay($day)) {
            throw Refused::because(self::closed($plant, $day));
        }

        return $day;
    }

    /** Reads days from so many years back to so many ahead. */
    public static function between(int $yearsBack, int $yearsAhead): TypedDay
    {
        $today = When::today();

        return new TypedDay(
            $today->toDateString(),
            $today->subYears($yearsBack)->toDateString(),
            $today->addYears($yearsAhead)->toDateString(),
        );
    }

    private static function closed(WorkingCalendar $plant, string $day): string
    {
        $says = When::dayOf($day);
        $next = When::dayOf($plant->workingDaysFrom($day, 1));

        return "{$says} is closed in the plant's calendar. Take {$next}, or type '{$says}!' to keep it.";
    }
}
