<?php

namespace App\Http\Requests\Demand;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Planning\NoLongerFor;

/** A customer line that is no longer wanted, and what becomes of what was made for it. */
class CancelLineRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'then' => ['required', Rule::enum(NoLongerFor::class)],
            'other' => ['nullable', ...Rules::id(), 'exists:customer_order_lines,id'],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why it is cancelled.'];
    }
}
