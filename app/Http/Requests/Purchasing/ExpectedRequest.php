<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Another day a purchase is expected on. */
class ExpectedRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'expected_on' => ['required', ...Rules::workedDay()],
            'asked_for' => ['nullable', ...Rules::day()],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }
}
