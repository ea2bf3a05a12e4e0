<?php

namespace App\Http\Requests;

use App\Access\OwnPassword;
use App\Models\Person;

/** A password somebody is given. */
class ResetPasswordRequest extends DeedRequest
{
    protected function fields(): array
    {
        $person = Person::whoLogIn()->whereKey($this->route('person'))->firstOrFail();

        return ['password' => ['required', new OwnPassword([(string) $person->login, $person->name])]];
    }
}
