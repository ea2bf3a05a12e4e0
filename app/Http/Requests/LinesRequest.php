<?php

namespace App\Http\Requests;

use Brick\Math\BigDecimal;

/** Quantities beside lines, by line id; empty and zero ones are passed by. */
class LinesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['required', 'array', 'max:2000'],
            'lines.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'lines.*' => ['array:quantity,lot'],
            'lines.*.lot' => ['nullable', 'integer', 'between:0,999999999999999999'],
            'over_plan' => ['nullable', 'boolean'],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    /** @return array<int, array{quantity: string, lot: int}> */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->validated('lines') as $id => $line) {
            if (BigDecimal::of($line['quantity'] ?? '0')->isPositive()) {
                $lines[(int) $id] = ['quantity' => (string) $line['quantity'], 'lot' => (int) ($line['lot'] ?? 0)];
            }
        }

        return $lines;
    }
}
