<?php

namespace App\Http\Requests;

/** Stock that is kept for an order. */
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
        ];
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
