<?php

namespace App\Http\Requests\Usage;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** An item that was not planned. */
class UnplannedLineRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'order' => ['required', ...Rules::id(), 'exists:orders,id'],
            'item' => ['required', ...Rules::text(60)],
            'step_number' => ['required', ...Rules::step()],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is used.'];
    }
}
