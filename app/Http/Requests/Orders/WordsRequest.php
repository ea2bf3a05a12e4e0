<?php

namespace App\Http\Requests\Orders;

use App\Actions\Purchasing\WordsToBuy;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Something bought by words for one order. */
class WordsRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'words' => ['required', ...Rules::text(200)],
            'supplier' => ['required', ...Rules::id(), 'exists:suppliers,id'],
            'quantity' => ['required', ...Rules::amount()],
            'unit_id' => ['required', ...Rules::id(), 'exists:units,id'],
            'price' => ['required', ...Rules::price()],
            'expected_on' => ['required', ...Rules::workedDay()],
        ];
    }

    public function bought(): WordsToBuy
    {
        return new WordsToBuy(
            $this->validated('words'),
            (int) $this->validated('supplier'),
            $this->validated('quantity'),
            (int) $this->validated('unit_id'),
            $this->validated('price'),
            $this->validated('expected_on'),
        );
    }
}
