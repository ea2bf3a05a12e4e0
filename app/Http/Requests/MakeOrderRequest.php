<?php

namespace App\Http\Requests;

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
