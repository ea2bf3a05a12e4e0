<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Part of a purchase line is asked for sooner. */
class PartSoonerRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'asked_for' => ['required', ...Rules::workedDay()],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }
}
