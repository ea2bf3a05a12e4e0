<?php

namespace App\Http\Requests\Stock;

use App\Actions\Stock\Arrival;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use KeepPace\Core\Stock\Condition;

/** Bought goods that came in. */
class GoodsInRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'price' => ['required', ...Rules::price()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'codes' => ['nullable', ...Rules::text(20000)],
            'condition' => ['nullable', 'in:usual,free,inspection,blocked'],
            'owner_id' => ['nullable', ...Rules::id(), 'exists:customers,id'],
            'booked_on' => ['nullable', ...Rules::day()],
            'expires_on' => ['nullable', ...Rules::farDay()], 'supplier_lot' => ['nullable', ...Rules::text(60)],
            'purchase_id' => ['nullable', ...Rules::id(), 'exists:purchase_lines,id'],
        ];
    }

    public function arrival(): Arrival
    {
        return new Arrival(
            $this->item()->id,
            $this->quantity(),
            $this->validated('price'),
            $this->integer('place_id'),
            $this->validated('codes') ?? '',
            $this->validated('purchase_id') === null ? null : $this->integer('purchase_id'),
            Condition::tryFrom($this->validated('condition') ?? 'usual'),
            (int) ($this->validated('owner_id') ?? 0),
            $this->validated('expires_on'),
            $this->validated('supplier_lot') ?? '',
        );
    }
}
