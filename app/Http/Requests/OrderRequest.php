<?php

namespace App\Http\Requests;

/** The head of an order. */
class OrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => ['required', 'integer'],
            'quantity' => ['required', ...self::AMOUNT],
            'due_on' => ['nullable', 'date_format:Y-m-d'],
            'rank' => ['required', 'integer', 'between:1,9999'],
            'is_held' => ['nullable', 'boolean'],
        ];
    }
}
