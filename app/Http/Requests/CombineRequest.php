<?php

namespace App\Http\Requests;

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
