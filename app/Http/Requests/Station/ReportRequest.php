<?php

namespace App\Http\Requests\Station;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** What was counted at a step. */
class ReportRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'good' => ['nullable', ...Rules::amountOrZero()],
            'scrap' => ['nullable', ...Rules::amountOrZero()],
            'pass_on' => ['nullable', ...Rules::amountOrZero()],
            'minutes' => ['nullable', 'integer', 'between:0,20000'],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    /** @return array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string} */
    public function report(): array
    {
        return ['good' => $this->validated('good') ?? '0', 'scrap' => $this->validated('scrap') ?? '0',
            'pass_on' => $this->validated('pass_on') ?? '0',
            'minutes' => $this->validated('minutes') === null ? null : $this->integer('minutes'),
            'reason' => $this->validated('reason') ?? '',
        ];
    }
}
