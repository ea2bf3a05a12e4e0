<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** The name of a what-if. */
class WhatIfRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['name' => ['nullable', ...Rules::text(60)]];
    }
}
