<?php

namespace App\Http\Requests\Combine;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Steps of different orders that are set up once. */
class SetUpRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'steps' => ['nullable', 'array', 'max:100'],
            'steps.*' => [...Rules::id(), 'exists:order_steps,id'],
        ];
    }
}
