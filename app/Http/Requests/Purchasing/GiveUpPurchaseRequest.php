<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Why what has not come is no longer wanted. */
class GiveUpPurchaseRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is no longer wanted.'];
    }
}
