<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** How lines of a customer order are to be covered. */
class CoverRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['required', 'array', 'min:1', 'max:200'],
            'lines.*' => Rules::id(),
            'by' => ['required', 'in:stock,order,stock-then-order'],
            'quantity' => ['nullable', ...Rules::amount()],
            'with_parts' => ['nullable', 'boolean'],
        ];
    }
}
