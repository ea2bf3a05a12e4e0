<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A lever to keep as a what-if, as the page said it. */
class LeverRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'says' => ['required', ...Rules::text(200)],
            // the plan they were tried on
            'of' => ['required', ...Rules::text(40)],
        ];
    }
}
