<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Another quantity of a component, or of what comes back. */
class ComponentRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'quantity' => ['required', ...Rules::amountOrZero()]];
    }
}
