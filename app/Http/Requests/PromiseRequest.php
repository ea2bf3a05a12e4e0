<?php

namespace App\Http\Requests;

use App\Models\Item;

/** What is asked for: an item, how many, in which unit, by when the customer wants it, and whether to hold the time for it. */
class PromiseRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['item' => ['required', 'string', 'max:60'], 'quantity' => ['required', ...self::AMOUNT], 'unit' => ['nullable', 'string', 'max:12'],
            'wanted' => ['nullable', 'date_format:Y-m-d'], 'hours' => ['nullable', 'integer', 'between:1,72'], 'for' => ['nullable', 'string', 'max:80'],
            'how' => ['nullable', 'in:nobody,slack'], 'finish' => ['nullable', 'integer']];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'hours.between' => 'From 1 to 72 hours.'];
    }

    public function item(): Item
    {
        return Item::query()->with('unit')->where('number', $this->validated('item'))->first()
            ?? throw \Illuminate\Validation\ValidationException::withMessages(['item' => "No item has the number {$this->validated('item')}."]);
    }
}
