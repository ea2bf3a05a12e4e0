<?php

namespace App\Http\Requests;

use KeepPace\Core\Calendar\TypedMoment;

/** A time of day as people type it: "6:30", "14:00", "6h". What is validated is "HH:MM". */
final class PlainTime extends ReadAsTyped
{
    protected function valueOf(string $typed): string
    {
        return TypedMoment::timeOfDay($typed);
    }
}
