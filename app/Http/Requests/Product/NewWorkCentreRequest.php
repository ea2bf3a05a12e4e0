<?php

namespace App\Http\Requests\Product;

use App\Http\Requests\Rules;

/** A new work centre: its code, and what is known of it. */
class NewWorkCentreRequest extends WorkCentreRequest
{
    protected function fields(): array
    {
        return [...parent::fields(), 'version' => ['nullable', 'integer'], 'code' => ['required', ...Rules::text(20)]];
    }
}
