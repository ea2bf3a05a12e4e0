<?php

namespace App\Http\Requests\Combine;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What is to be made as one order. */
class CombineRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['nullable', 'array', 'max:200'],
            'lines.*' => [...Rules::id(), 'exists:customer_order_lines,id'],
            'orders' => ['nullable', 'array', 'max:200'],
            'orders.*' => [...Rules::id(), 'exists:orders,id'],
        ];
    }
}
