<?php

namespace App\Http\Requests\Billing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** The last day of a period that is closed. */
class PeriodRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['ends_on' => ['required', ...Rules::day()]];
    }
}
