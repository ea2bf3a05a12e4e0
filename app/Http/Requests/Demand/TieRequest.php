<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** An order, or a purchase, that is tied to a customer line. */
class TieRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'supply' => ['required', 'regex:/^(order|purchase)-[1-9][0-9]{0,14}$/'],
            'quantity' => ['required', ...Rules::amount()],
        ];
    }

    public function isOfPurchase(): bool
    {
        return str_starts_with($this->validated('supply'), 'purchase');
    }

    /** Of the order, or of the purchase line. */
    public function supply(): int
    {
        return (int) substr(strrchr($this->validated('supply'), '-') ?: '', 1);
    }
}
