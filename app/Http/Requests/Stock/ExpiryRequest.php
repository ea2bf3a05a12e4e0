<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Another last good day of a lot. */
class ExpiryRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['expires_on' => ['nullable', ...Rules::farDay()], 'reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say what the new date rests on.'];
    }
}
