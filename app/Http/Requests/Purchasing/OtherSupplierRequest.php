<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Of whom what is open is bought instead. */
class OtherSupplierRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'supplier' => ['required', ...Rules::id(), 'exists:suppliers,id'],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'supplier.required' => 'Choose a supplier.'];
    }
}
