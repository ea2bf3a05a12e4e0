<?php

namespace App\Http\Requests;

/** When something overdue comes: a day; asked again on a day; or no more, with the reason. */
class ArrivalRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
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
