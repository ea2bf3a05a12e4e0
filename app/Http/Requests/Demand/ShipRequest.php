<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Brick\Math\BigDecimal;

/** What is shipped of lines, by line id; empty and zero ones are passed by. */
class ShipRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['required', 'array', 'max:2000'],
            'lines.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'lines.*' => ['array:quantity,lot,codes'],
            'lines.*.lot' => ['nullable', 'integer', 'between:0,999999999999999999'],
            'lines.*.codes' => ['nullable', ...Rules::text(20000)],
            'in_parts' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<int, array{quantity: string, lot: int, codes: string}> */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->validated('lines') as $id => $line) {
            if (BigDecimal::of($line['quantity'] ?? '0')->isPositive()) {
                $lines[(int) $id] = [
                    'quantity' => (string) $line['quantity'],
                    'lot' => (int) ($line['lot'] ?? 0),
                    'codes' => (string) ($line['codes'] ?? ''),
                ];
            }
        }

        return $lines;
    }
}
