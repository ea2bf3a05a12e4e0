<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A step that is taken out. */
class RemoveStepRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version()];
    }
}
