<?php

namespace App\Http\Requests\Outside;

use App\Http\Requests\DeedRequest;
use Illuminate\Validation\Rule;
use KeepPace\Core\Outside\PartLeft;

/** What becomes of a part of ours that is left at a supplier. */
class LeftRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['left' => ['required', Rule::enum(PartLeft::class)]];
    }

    public function left(): PartLeft
    {
        return PartLeft::from($this->validated('left'));
    }
}
