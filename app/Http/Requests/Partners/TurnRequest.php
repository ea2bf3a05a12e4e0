<?php

namespace App\Http\Requests\Partners;

use App\Http\Requests\DeedRequest;
use App\StandIn\Turn;
use Illuminate\Validation\Rules\Enum;

/** What a supplier of the demo does next. */
class TurnRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['turn' => ['required', new Enum(Turn::class)]];
    }

    public function turn(): Turn
    {
        return Turn::from($this->validated('turn'));
    }
}
