<?php

namespace App\Http\Requests\Usage;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What was picked. */
class PickRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'do' => ['required', 'in:scan,tick,all,book'],
            'scan' => ['nullable', 'required_if:do,scan', ...Rules::text(80)],
            'picked' => ['nullable', 'array', 'max:3000'],
            'picked.*' => Rules::id(),
            'version' => Rules::version(),
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'scan.required_if' => 'Scan or type a lot, serial or item.'];
    }
}
