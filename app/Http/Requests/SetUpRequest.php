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

    /** @return list<int> */
    public function steps(): array
    {
        $ids = array_map(
            fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            array_values($this->array('steps')),
        );

        return array_values(array_unique($ids));
    }
}
