<?php

namespace App\Http\Requests\Bookings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Why a booking is reversed. */
class ReverseRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is reversed.'];
    }
}
