<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\Calendar;

/** A calendar that begins with the week of another, where there is one. */
class NewCalendarRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'code' => ['required', ...Rules::text(20)],
            'like' => [Calendar::query()->exists() ? 'required' : 'nullable', ...Rules::id(), 'exists:calendars,id'],
        ];
    }

    public function like(): ?int
    {
        return $this->filled('like') ? $this->integer('like') : null;
    }
}
