<?php

namespace App\Http\Requests;

/** A component an order takes that its structure does not say. */
class AddComponentRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'step_number' => ['required', ...Rules::step()],
        ];
    }
}
