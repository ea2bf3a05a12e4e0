<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** The head of an order. */
class OrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'quantity' => ['required', ...Rules::amount()],
            'due_on' => ['nullable', ...Rules::workedDay()],
            'rank' => ['required', 'integer', 'between:0,4000000'],
            'is_held' => ['nullable', 'boolean'],
            'is_loaded_late' => ['nullable', 'boolean'],
        ];
    }
}
