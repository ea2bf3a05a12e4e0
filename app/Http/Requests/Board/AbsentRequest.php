<?php

namespace App\Http\Requests\Board;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Wording\When;
use Carbon\CarbonImmutable;

/** From when until when something is down or somebody away; times on the plant's clock, no end = unknown. */
class AbsentRequest extends DeedRequest
{
    private const MOMENT = [
        'bail',
        'string',
        'date_format:Y-m-d\TH:i',
        'after_or_equal:-2 years',
        'before:+5 years',
    ];

    private const FAR = 'Is that day meant? A day here lies between two years ago and five years ahead.';

    protected function fields(): array
    {
        return [
            'centre' => ['required_without:person', 'nullable', ...Rules::id()],
            'machine' => ['nullable', 'integer', 'between:0,999'],
            'person' => ['nullable', ...Rules::id()],
            'from' => ['nullable', ...self::MOMENT],
            'until' => ['nullable', ...self::MOMENT],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            '*.date_format' => 'Choose a day and a time, or leave it empty.',
            '*.after_or_equal' => self::FAR,
            '*.before' => self::FAR,
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
        return $this->filled($field) ? CarbonImmutable::parse($this->string($field)->value(), When::zone()) : null;
    }
}
