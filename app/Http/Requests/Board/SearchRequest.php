<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;

/** How long to search, from which seed, and what moving a planned step is worth. */
class SearchRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'seconds' => ['required', 'integer', 'between:2,300'],
            'seed' => ['nullable', 'integer', 'between:1,999999'],
            'moved_weight' => ['nullable', 'integer', 'between:0,1000'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'seconds.between' => 'From 2 to 300 seconds.'];
    }
}
