<?php

namespace App\Http\Requests\Product;

use App\Http\Requests\Rules;

/** A new item: its number, and which one it is like. */
class NewItemRequest extends ItemRequest
{
    protected function fields(): array
    {
        return [
            ...parent::fields(),
            'version' => ['nullable', 'integer'],
            // by the rule of the one it is like, where it has one
            'number' => ['nullable', ...Rules::text(40)],
            'like' => ['nullable', ...Rules::id()],
        ];
    }
}
