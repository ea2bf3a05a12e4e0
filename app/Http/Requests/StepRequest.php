<?php

namespace App\Http\Requests;

/** Times and work centre of an order's step. */
class StepRequest extends DeedRequest
{
    /** @return array<string, list<mixed>> */
    public static function times(): array
    {
        return [
            'setup_minutes' => ['required', ...Rules::setupMinutes()],
            'run_rate' => ['required', ...Rules::runRate()],
        ];
    }

    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'work_centre_id' => ['nullable', ...Rules::id(), 'exists:work_centres,id'],
            ...self::times(),
        ];
    }
}
