<?php

namespace App\Http\Controllers\People;

use App\Actions\People\ChangePerson;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\People\LockPersonRequest;
use Illuminate\Http\RedirectResponse;

/** A login is locked, and opened again. */
class PersonLockController extends Controller
{
    public function store(LockPersonRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $change->lock($person, $request->signed($typed['reason'])));
    }

    public function destroy(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->unlock($person, $request->signed()));
    }
}
