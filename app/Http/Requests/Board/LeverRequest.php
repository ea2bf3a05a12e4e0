<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A lever to try, as the page said it. */
class LeverRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['says' => ['required', ...Rules::text(200)]];
    }
}
