<?php

namespace App\Http\Requests;

/** Bought goods that came in. */
class GoodsInRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'item' => ['required', 'string', 'max:60', 'exists:items,number'],
            'quantity' => ['required', ...self::AMOUNT],
            'unit' => ['nullable', 'string', 'max:12'],
            'price' => ['required', ...self::AMOUNT_OR_ZERO],
            'place_id' => ['required', 'integer', 'exists:places,id'],
            'codes' => ['nullable', 'string', 'max:20000'],
            'purchase_id' => ['nullable', 'integer', 'exists:purchases,id'],
        ];
    }
}
