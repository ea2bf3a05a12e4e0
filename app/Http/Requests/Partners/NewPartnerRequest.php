<?php

namespace App\Http\Requests\Partners;

use App\Http\Requests\Rules;

/** A new customer or supplier: a number, and what is known of them. */
class NewPartnerRequest extends PartnerRequest
{
    protected function fields(): array
    {
        return [
            ...parent::fields(),
            'version' => ['nullable', 'integer'],
            'number' => ['required', ...Rules::text(20)],
        ];
    }
}
