<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A customer order with its lines; rows left empty are passed by. */
class CustomerOrderRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'customer_id' => ['required', ...Rules::id(), 'exists:customers,id'],
            'reference' => ['nullable', ...Rules::text(60)],
            'ship_to' => ['nullable', ...Rules::text(200)],
            'lines' => ['required', 'array', 'max:200'],
            'lines.*' => ['array:item,quantity,unit,promised_on,price'],
            'lines.*.item' => ['nullable', 'required_with:lines.*.quantity', ...Rules::text(60)],
            'lines.*.quantity' => ['nullable', 'required_with:lines.*.item', ...Rules::amount()],
            'lines.*.unit' => ['nullable', ...Rules::text(12)],
            'lines.*.promised_on' => ['nullable', 'required_with:lines.*.item', ...Rules::workedDay()],
            'lines.*.price' => ['nullable', ...Rules::price()],
        ];
    }

    /** @return array<int, array{item: string, quantity: string, unit: ?string, promised_on: string, price: ?string}> */
    public function lines(): array
    {
        /**
         * @var array<int, array{item: ?string, quantity: string, unit: ?string, promised_on: string, price: ?string}>
         *     $lines
         */
        $lines = $this->validated('lines');

        return array_map(
            fn (array $line): array => [
                'item' => trim((string) $line['item']),
                'quantity' => $line['quantity'],
                'unit' => $line['unit'] ?? '' ?: null,
                'promised_on' => $line['promised_on'],
                'price' => $line['price'] ?? null,
            ],
            array_filter($lines, fn (array $line): bool => trim((string) ($line['item'] ?? '')) !== ''),
        );
    }
}
