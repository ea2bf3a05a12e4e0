<?php

namespace App\Http\Requests;

/** A lever to try, as the page said it. */
class LeverRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['says' => ['required', ...Rules::text(200)]];
    }
}
