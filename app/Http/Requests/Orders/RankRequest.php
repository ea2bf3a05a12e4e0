<?php

namespace App\Http\Requests\Orders;

use App\Http\Requests\DeedRequest;

/** A place in the rank. */
class RankRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'move' => ['required', 'string', 'regex:/^\d{1,18}-\d{1,18}$/'],
            'with_servants' => ['nullable', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'move.*' => 'Drag the row again: it did not say where to.'];
    }

    /**
     * "12-7": order 12 before order 7; "12-0": last of all.
     *
     * @return array{int, int|null}
     */
    public function move(): array
    {
        [$order, $before] = array_map(intval(...), explode('-', $this->string('move')->value()));

        return [$order, $before === 0 ? null : $before];
    }
}
