<?php

namespace App\Http\Requests;

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
