<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What was counted. */
class CountRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amountOrZero()],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it differs.'];
    }
}
