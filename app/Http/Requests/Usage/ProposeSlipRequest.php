<?php

namespace App\Http\Requests\Usage;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Orders components are used for. */
class ProposeSlipRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'orders' => ['required', 'array', 'max:400'],
            'orders.*' => Rules::id(),
            'part' => ['required', 'in:whole,reported,step'],
            'step_number' => ['nullable', 'required_if:part,step', ...Rules::step()],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'orders.required' => 'Tick the orders to propose for.',
            'step_number.required_if' => 'Say which step.',
        ];
    }
}
