<?php

namespace App\Http\Requests;

/** Of how many of a sub-assembly the parts are taken. */
class PartsInsteadRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'quantity' => ['required', ...Rules::amount()]];
    }
}
