<?php

namespace App\Http\Requests\Outside;

use App\Http\Requests\DeedRequest;
use Illuminate\Validation\Rules\Enum;
use KeepPace\Core\Purchasing\OverAnswer;

/** What becomes of more than was ordered. */
class OverRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['over' => ['required', new Enum(OverAnswer::class)]];
    }

    public function answer(): OverAnswer
    {
        return OverAnswer::from($this->validated('over'));
    }
}
