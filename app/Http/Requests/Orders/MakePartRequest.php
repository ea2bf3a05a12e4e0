<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A part is made for the order that misses it. */
class MakePartRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'with_parts' => ['nullable', 'boolean'],
        ];
    }
}
