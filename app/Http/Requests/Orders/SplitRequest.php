<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Pieces that go on as an order of their own. */
class SplitRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'quantity' => ['required', ...Rules::amount()],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }
}
