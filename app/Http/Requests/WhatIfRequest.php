<?php

namespace App\Http\Requests;

/** The name of a what-if. */
class WhatIfRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['name' => ['nullable', ...Rules::text(60)]];
    }
}
