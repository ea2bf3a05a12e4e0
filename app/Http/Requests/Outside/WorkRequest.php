<?php

namespace App\Http\Requests\Outside;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Steps whose work is to be ordered. */
class WorkRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'steps' => ['required', 'array', 'max:300'],
            'steps.*' => [...Rules::id(), 'exists:order_steps,id'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'steps.required' => 'Say the work of which step is to be ordered.'];
    }

    /** @return list<int> */
    public function steps(): array
    {
        return array_values(array_map(intval(...), $this->validated('steps')));
    }
}
