<?php

namespace App\Http\Requests\Bookings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rules\Enum;
use KeepPace\Core\Costing\SpreadBy;

/** A cost that came after the goods. */
class LateCostRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'amount' => ['required', 'bail', new PlainNumber(most: '9999999', decimals: 2, least: '-9999999')],
            'spread' => ['nullable', new Enum(SpreadBy::class)],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function by(): SpreadBy
    {
        return SpreadBy::from($this->validated('spread') ?? SpreadBy::Value->value);
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say what it is: freight, duty, a corrected price.'];
    }
}
