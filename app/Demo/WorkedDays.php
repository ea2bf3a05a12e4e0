<?php

namespace App\Demo;

use App\Shop\PlantCalendar;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\WorkingCalendar;

/** The days people of the story promise and expect things for: on which the plant works. */
final class WorkedDays
{
    private ?WorkingCalendar $plant = null;

    /**
     * The day itself, or the next that is worked.
     *
     * @return string "YYYY-MM-DD"
     */
    public function from(CarbonImmutable $day): string
    {
        $this->plant ??= PlantCalendar::orEveryDay();

        return $this->plant->workingDaysFrom($day->subDay()->toDateString(), 1);
    }
}
