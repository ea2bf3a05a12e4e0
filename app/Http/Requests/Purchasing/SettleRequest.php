<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;

/** Whether what the supplier answered holds, or what was ordered. */
class SettleRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['holds' => ['required', 'in:theirs,ours']];
    }

    public function isTaken(): bool
    {
        return $this->validated('holds') === 'theirs';
    }
}
