<?php

namespace App\Http\Requests;

/** Good pieces that come out of an order. */
class ReceiveRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'codes' => ['nullable', ...Rules::text(20000)],
        ];
    }
}
