<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;

/** Closing a built order. */
class CloseOrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['nothing_more' => ['nullable', 'in:1']];
    }
}
