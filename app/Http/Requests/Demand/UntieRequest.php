<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Why cover is taken off a customer line. */
class UntieRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is untied.'];
    }
}
