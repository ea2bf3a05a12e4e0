<?php

namespace App\Http\Requests\Purchasing;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Shop\Deliveries;

/**
 * When something comes: a day; asked again on a day; or no more, with the reason. In one touch: a day that was offered,
 * or nobody knows, then it is asked again on the next day that is worked.
 */
class ArrivalRequest extends DeedRequest
{
    private const UNKNOWN = 'unknown';

    protected function fields(): array
    {
        return [
            'touch' => ['nullable', ...Rules::text(10)],
            'answer' => ['required', 'in:day,again,never'],
            'expected_on' => ['required_unless:answer,never', 'nullable', ...Rules::workedDay()],
            'reason' => ['required_if:answer,never', 'nullable', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'expected_on.required_unless' => 'Type the day.',
            'reason.required_if' => 'Say why it comes no more.',
        ];
    }

    protected function prepareForValidation(): void
    {
        $touch = $this->string('touch')->value();
        if ($touch === self::UNKNOWN) {
            $this->merge(['answer' => 'again', 'expected_on' => Deliveries::now()->likely()[0]]);
        } elseif ($touch !== '') {
            $this->merge(['answer' => 'day', 'expected_on' => $touch]);
        }
    }

    /** @return 'day'|'again'|'never' */
    public function answer(): string
    {
        return $this->validated('answer');
    }

    public function on(): string
    {
        return (string) $this->validated('expected_on');
    }

    public function reason(): string
    {
        return (string) $this->validated('reason');
    }
}
