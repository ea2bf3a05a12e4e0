<?php

namespace App\Http\Requests\Stock;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Stock\Condition;

/** Stock that is blocked, held for inspection, or set free. */
class ConditionRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'to' => ['required', Rule::enum(Condition::class)],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return ['reason.required' => 'Say why.', ...parent::messages()];
    }

    public function to(): Condition
    {
        return Condition::from($this->validated('to'));
    }
}
