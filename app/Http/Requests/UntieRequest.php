<?php

namespace App\Http\Requests;

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
