<?php

namespace App\Http\Requests\Bookings;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** The answer to a question. */
class AnswerRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['answer' => ['required', ...Rules::text(200)]];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'answer.required' => 'Say what it was.'];
    }
}
