<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use KeepPace\Core\Scheduling\Plan\Put;

/** Where a step is put: a machine and a UTC minute. */
class MoveRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'centre' => ['required', ...Rules::id()],
            'machine' => ['required', 'integer', 'between:1,999'],
            'minute' => ['required', 'integer', 'between:0,200000000'],
            'pin' => ['nullable', 'boolean'],
            'seen' => ['nullable', 'integer', 'between:0,4294967295'],
        ];
    }

    public function put(int $step): Put
    {
        return new Put($step, $this->integer('centre'), $this->integer('machine'), $this->integer('minute'));
    }

    /** The last deed on the plan the person saw. */
    public function seen(): ?int
    {
        return $this->filled('seen') ? $this->integer('seen') : null;
    }
}
