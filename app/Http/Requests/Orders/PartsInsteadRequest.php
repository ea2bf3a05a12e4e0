<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Of how many of a sub-assembly the parts are taken. */
class PartsInsteadRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'quantity' => ['required', ...Rules::amount()]];
    }
}
