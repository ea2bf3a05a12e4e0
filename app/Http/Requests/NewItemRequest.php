<?php

namespace App\Http\Requests;

/** A new item: its number, and which one it is like. */
class NewItemRequest extends ItemRequest
{
    protected function fields(): array
    {
        return [
            ...parent::fields(),
            'version' => ['nullable', 'integer'],
            'number' => ['required', ...Rules::text(40)],
            'like' => ['nullable', ...Rules::id()],
        ];
    }
}
