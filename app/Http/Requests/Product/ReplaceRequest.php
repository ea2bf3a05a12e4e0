<?php

namespace App\Http\Requests\Product;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** By which item another is replaced in all structures. */
class ReplaceRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['by' => ['required', ...Rules::text(40)], 'note' => ['nullable', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'by.required' => 'By which item? Type its number.'];
    }
}
