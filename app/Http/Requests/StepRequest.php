<?php

namespace App\Http\Requests;

/** Times and work centre of an order's step. */
class StepRequest extends DeedRequest
{
    public const TIMES = ['setup_minutes' => ['required', 'decimal:0,2', 'gte:0', 'lt:100000'],
        'run_rate' => ['required', ...self::AMOUNT_OR_ZERO]];

    protected function fields(): array
    {
        return [
            'version' => ['required', 'integer'],
            'work_centre_id' => ['nullable', 'integer', 'exists:work_centres,id'],
            ...self::TIMES,
        ];
    }
}
