<?php

namespace App\Http\Requests\Outside;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A component that comes back unused from a supplier. */
class UnusedRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
        ];
    }
}
