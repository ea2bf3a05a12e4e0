<?php

namespace App\Http\Requests;

use App\Wording\When;
use Carbon\CarbonImmutable;

/** From when until when something is down or somebody away; times on the plant's clock, no end = unknown. */
class AbsentRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['centre' => ['required_without:person', 'nullable', 'integer'], 'machine' => ['nullable', 'integer', 'between:0,999'],
            'person' => ['nullable', 'integer'], 'from' => ['nullable', 'date_format:Y-m-d\TH:i'], 'until' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'reason' => ['nullable', 'string', 'max:200']];
    }

    public function messages(): array
    {
        return [...parent::messages(), '*.date_format' => 'Choose a day and a time, or leave it empty.', 'centre.required_without' => 'Choose a work centre.'];
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
