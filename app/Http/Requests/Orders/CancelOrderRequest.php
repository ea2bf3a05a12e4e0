<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Why an order is cancelled. */
class CancelOrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is cancelled.'];
    }
}
