<?php

namespace App\Http\Requests\Orders;

use App\Actions\Orders\TypedOutput;
use App\Actions\Orders\TypedReceipt;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Good pieces that come out of an order, and what comes back of it beside them. */
class ReceiveRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amountOrZero()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'codes' => ['nullable', ...Rules::text(20000)],
            'beside' => ['nullable', 'array', 'max:100'],
            'beside.*' => ['array:quantity,codes'],
            'beside.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'beside.*.codes' => ['nullable', ...Rules::text(20000)],
        ];
    }

    public function typed(): TypedReceipt
    {
        $beside = [];
        foreach ($this->array('beside') as $output => $row) {
            $row = is_array($row) ? $row : [];
            $beside[(int) $output] = new TypedOutput(self::text($row, 'quantity'), self::text($row, 'codes'));
        }

        return new TypedReceipt(
            $this->string('quantity')->value(),
            $this->integer('place_id'),
            $this->string('codes')->value(),
            $beside,
        );
    }

    /** @param  array<array-key, mixed>  $row */
    private static function text(array $row, string $field): string
    {
        $typed = $row[$field] ?? '';

        return is_string($typed) ? trim($typed) : '';
    }
}
