<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A part of ours that goes along for a purchase line. */
class GoAlongRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'line' => ['required', ...Rules::id(), 'exists:purchase_lines,id'],
            'item' => ['required', ...Rules::text(60)],
            'each' => ['required', ...Rules::amountOrZero()],
        ];
    }
}
