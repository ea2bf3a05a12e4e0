<?php

namespace App\Http\Requests;

/** A cost that came after the goods. */
class LateCostRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'amount' => ['required', 'bail', new PlainNumber(most: '9999999', decimals: 2, least: '-9999999')],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say what it is: freight, duty, a corrected price.'];
    }
}
