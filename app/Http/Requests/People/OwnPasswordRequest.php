<?php

namespace App\Http\Requests\People;

use App\Access\OwnPassword;
use App\Http\Requests\DeedRequest;

/** One's own password, changed. */
class OwnPasswordRequest extends DeedRequest
{
    protected function fields(): array
    {
        $person = $this->person();

        return [
            'present' => ['required', 'string', 'max:'.OwnPassword::MOST],
            'new' => ['required', new OwnPassword([(string) $person->login, $person->name])],
            'again' => ['required', 'same:new'],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'again.same' => 'The two are not the same. Type the new one again.'];
    }
}
