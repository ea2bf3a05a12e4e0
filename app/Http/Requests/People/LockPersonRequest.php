<?php

namespace App\Http\Requests\People;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Why somebody may not log in any more. */
class LockPersonRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['reason' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why.'];
    }
}
