<?php

namespace App\Http\Requests\People;

use App\Access\OwnPassword;
use App\Http\Requests\DeedRequest;
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
