<?php

namespace App\Http\Requests\Bookings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** The lot that was really used. */
class CorrectLotRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'code' => ['required', ...Rules::text(60)],
            'quantity' => ['nullable', ...Rules::amount()],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'code.required' => 'Name the lot that was really used.',
            'reason.required' => 'Say how it was found out.',
        ];
    }
}
