<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** An order for the shelf. */
class MakeOrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'due_on' => ['nullable', ...Rules::workedDay()],
            'with_parts' => ['nullable', 'boolean'],
        ];
    }
}
