<?php

namespace App\Http\Requests;

/** A step that is taken out. */
class RemoveStepRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version()];
    }
}
