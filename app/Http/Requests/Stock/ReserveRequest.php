<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Stock, or some of a purchase or of another order, that is kept for an order. */
class ReserveRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'order' => ['required', ...Rules::id(), 'exists:orders,id'],
            'item' => ['required', ...Rules::id(), 'exists:items,id'],
            'quantity' => ['required', ...Rules::amount()],
            'lot' => ['nullable', ...Rules::text(60)],
            'reason' => ['nullable', ...Rules::text(200)],
            'component' => ['nullable', 'required_with:from', ...Rules::id(), 'exists:order_components,id'],
            'from' => ['nullable', 'regex:/^(purchase|order)-[1-9][0-9]{0,14}$/'],
        ];
    }

    /** The purchase line it is kept of; null = of something else. */
    public function purchase(): ?int
    {
        return $this->from('purchase');
    }

    /** The order that will give it; null = it comes from something else. */
    public function output(): ?int
    {
        return $this->from('order');
    }

    private function from(string $kind): ?int
    {
        $from = $this->validated('from') ?? '';

        return str_starts_with($from, "{$kind}-") ? (int) substr($from, strlen($kind) + 1) : null;
    }

    /** @return array{order: int, item: int, quantity: string, lot: string|null, reason: string|null} */
    public function typed(): array
    {
        return [
            'order' => $this->integer('order'),
            'item' => $this->integer('item'),
            'quantity' => $this->string('quantity')->value(),
            'lot' => $this->validated('lot'),
            'reason' => $this->validated('reason'),
        ];
    }
}
