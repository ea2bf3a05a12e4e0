<?php

namespace App\Http\Requests;

use App\Actions\Stock\Arrival;
use KeepPace\Core\Stock\Condition;

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
            'condition' => ['nullable', 'in:free,inspection,blocked'], 'owner_id' => ['nullable', 'integer', 'exists:customers,id'], 'booked_on' => ['nullable', 'date_format:Y-m-d'],
            'expires_on' => ['nullable', 'date_format:Y-m-d'], 'supplier_lot' => ['nullable', 'string', 'max:60'],
            'purchase_id' => ['nullable', 'integer', 'exists:purchases,id'],
        ];
    }

    public function arrival(): Arrival
    {
        return new Arrival(Condition::from($this->validated('condition') ?? 'free'), (int) ($this->validated('owner_id') ?? 0), $this->validated('booked_on'), $this->validated('expires_on'), $this->validated('supplier_lot') ?? '');
    }
}
