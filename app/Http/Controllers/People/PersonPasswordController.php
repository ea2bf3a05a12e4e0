<?php

namespace App\Http\Controllers\People;

use App\Actions\People\ChangePerson;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\ResetPasswordRequest;
use Illuminate\Http\RedirectResponse;

/** Somebody is given a new password. */
class PersonPasswordController extends Controller
{
    public function update(ResetPasswordRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->reset($person, $request->validated('password'), $request->signed()));
    }
}
