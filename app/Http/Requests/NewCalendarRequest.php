<?php

namespace App\Http\Requests;

/** A calendar that begins with the week of another. */
class NewCalendarRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'code' => ['required', ...Rules::text(20)],
            'like' => ['required', ...Rules::id(), 'exists:calendars,id'],
        ];
    }
}
