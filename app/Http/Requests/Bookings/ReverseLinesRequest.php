<?php

namespace App\Http\Requests\Bookings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Lines of a booking that are taken back. */
class ReverseLinesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'moves' => ['required', 'array', 'max:2000'],
            'moves.*' => Rules::id(),
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'reason.required' => 'Say why they are taken back.',
            'moves.required' => 'Tick the lines to take back.',
        ];
    }
}
