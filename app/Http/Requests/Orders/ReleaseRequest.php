<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Orders that are released. */
class ReleaseRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'orders' => ['required', 'array', 'max:200'],
            'orders.*' => Rules::id(),
            'short_reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'orders.required' => 'Tick the orders to release.'];
    }
}
