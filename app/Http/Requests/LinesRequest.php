<?php

namespace App\Http\Requests;

/** Quantities beside lines, by line id; empty and zero ones are passed by. */
class LinesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['required', 'array', 'max:2000'],
            'lines.*.quantity' => ['nullable', ...self::AMOUNT_OR_ZERO],
            'lines.*.lot' => ['nullable', 'integer'],
            'over_plan' => ['nullable', 'boolean'],
            'reason' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<int, array{quantity: string, lot: int}> */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->validated('lines') as $id => $line) {
            if ((float) ($line['quantity'] ?? 0) > 0) {
                $lines[(int) $id] = ['quantity' => (string) $line['quantity'], 'lot' => (int) ($line['lot'] ?? 0)];
            }
        }

        return $lines;
    }
}
