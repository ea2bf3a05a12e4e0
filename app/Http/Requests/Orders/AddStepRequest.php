<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** A step an order gets that its routing does not say. */
class AddStepRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'number' => ['required', ...Rules::step()],
            'name' => ['required', ...Rules::text(60)],
            'work_centre_id' => ['required', ...Rules::id(), 'exists:work_centres,id'],
            ...StepRequest::times(),
        ];
    }
}
