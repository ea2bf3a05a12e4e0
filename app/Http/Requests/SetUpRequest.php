<?php

namespace App\Http\Requests;

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
