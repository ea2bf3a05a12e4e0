<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Another standard cost. */
class StandardCostRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['cost' => ['required', ...Rules::price()], 'reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it changes.'];
    }
}
