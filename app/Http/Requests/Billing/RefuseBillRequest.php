<?php

namespace App\Http\Requests\Billing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A bill that goes back, with why. */
class RefuseBillRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say what is wrong with it.'];
    }
}
