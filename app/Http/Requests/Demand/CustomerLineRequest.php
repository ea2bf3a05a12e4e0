<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Another quantity or date of a customer line. */
class CustomerLineRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'quantity' => ['required', ...Rules::amountOrZero()],
            'promised_on' => ['required', ...Rules::workedDay()],
        ];
    }
}
