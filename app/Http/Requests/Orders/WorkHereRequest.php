<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Where and in what time a step is done here that a supplier was to do. */
class WorkHereRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'work_centre_id' => ['required', ...Rules::id(), 'exists:work_centres,id'],
            ...StepRequest::times(),
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'work_centre_id.required' => 'Choose a work centre.'];
    }

    /** @return array{work_centre_id: int, setup_minutes: string, run_rate: string} */
    public function here(): array
    {
        return [
            'work_centre_id' => $this->integer('work_centre_id'),
            'setup_minutes' => (string) $this->validated('setup_minutes'),
            'run_rate' => (string) $this->validated('run_rate'),
        ];
    }
}
