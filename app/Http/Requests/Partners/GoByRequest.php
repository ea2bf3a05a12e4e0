<?php

namespace App\Http\Requests\Partners;

use App\Http\Requests\DeedRequest;

/** Whether the suppliers of the demo go by the clock, or by hand. */
class GoByRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['go_by' => ['required', 'in:hand,clock']];
    }

    public function isClock(): bool
    {
        return $this->validated('go_by') === 'clock';
    }
}
