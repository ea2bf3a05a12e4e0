<?php

namespace App\Http\Requests;

/** Which draft is approved as somebody saw it, and from which day. */
class ApprovalRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['version' => Rules::version(), 'from' => ['nullable', ...Rules::day()]];
    }
}
