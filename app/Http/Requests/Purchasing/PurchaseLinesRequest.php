<?php

namespace App\Http\Requests\Purchasing;

use App\Actions\Purchasing\TypedLine;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What is typed down the lines of a purchase order: changed by us, or as the supplier answered. */
class PurchaseLinesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'lines' => ['required', 'array', 'max:300'],
            'lines.*' => ['array:quantity,price,on'],
            'lines.*.quantity' => ['required', ...Rules::amountOrZero()],
            'lines.*.price' => ['required', ...Rules::price()],
            'lines.*.on' => ['required', ...Rules::workedDay()],
            'note' => ['nullable', ...Rules::text(500)],
            'reference' => ['nullable', ...Rules::text(60)],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    /** @return array<int, TypedLine> by line */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->validated('lines') as $id => $line) {
            $lines[(int) $id] = new TypedLine($line['quantity'], $line['price'], $line['on']);
        }

        return $lines;
    }
}
