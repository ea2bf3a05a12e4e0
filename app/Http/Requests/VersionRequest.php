<?php

namespace App\Http\Requests;

/** A deed that needs no more than the version somebody saw. */
class VersionRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version()];
    }
}
