<?php

namespace App\Http\Requests;

/** The last day of a period that is closed. */
class PeriodRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['ends_on' => ['required', ...Rules::day()]];
    }
}
