<?php

namespace App\Http\Requests;

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
