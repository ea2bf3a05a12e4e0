<?php

namespace App\Http\Requests;

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
