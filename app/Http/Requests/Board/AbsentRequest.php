<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainMoment;
use App\Http\Requests\Rules;
use Carbon\CarbonImmutable;

/** From when until when something is down or somebody away; times on the plant's clock, no end = unknown. */
class AbsentRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'centre' => ['required_without:person', 'nullable', ...Rules::id()],
            'machine' => ['nullable', 'integer', 'between:0,999'],
            'person' => ['nullable', ...Rules::id()],
            'from' => ['nullable', new PlainMoment],
            'until' => ['nullable', new PlainMoment(isEnd: true)],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'centre.required_without' => 'Choose a work centre.',
        ];
    }

    public function from(): CarbonImmutable
    {
        return $this->time('from') ?? CarbonImmutable::now();
    }

    public function until(): ?CarbonImmutable
    {
        return $this->time('until');
    }

    private function time(string $field): ?CarbonImmutable
    {
        $moment = $this->validated($field);

        return is_string($moment) ? CarbonImmutable::parse($moment, 'UTC') : null;
    }
}
