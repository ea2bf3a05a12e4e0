<?php

namespace App\Http\Requests;

/** An order that is tied to a customer line. */
class TieRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'order' => ['required', ...Rules::id(), 'exists:orders,id'],
            'quantity' => ['required', ...Rules::amount()],
        ];
    }
}
