<?php

namespace App\Http\Requests\Billing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rules\Enum;
use KeepPace\Core\Purchasing\Holds;

/** A bill that is accepted, with whose figure holds where it differs. */
class AcceptBillRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'holds' => ['nullable', 'array', 'max:500'],
            'holds.*' => ['nullable', new Enum(Holds::class)],
        ];
    }

    /** @return array<int, Holds> by line */
    public function holds(): array
    {
        $holds = [];
        foreach (array_filter($this->validated('holds') ?? []) as $line => $whose) {
            $holds[(int) $line] = Holds::from($whose);
        }

        return $holds;
    }
}
