<?php

namespace App\Http\Controllers;

use App\Actions\People\AddPerson;
use App\Actions\People\ChangePerson;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\LockPersonRequest;
use App\Http\Requests\NewLoginRequest;
use App\Http\Requests\ResetPasswordRequest;
use App\Http\Requests\RolesRequest;
use App\Models\Person;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Who may log in, and as what. */
class PersonController extends Controller
{
    public function index(): View
    {
        return view('people.index', [
            'people' => Person::whoLogIn()->with('personRoles')->orderBy('name')->get(),
            'others' => Person::query()->whereNull('login')->where('is_there', true)->orderBy('name')->get(),
        ]);
    }

    public function store(NewLoginRequest $request, AddPerson $add): RedirectResponse
    {
        return $this->done(back(), $add->handle($request->login(), true, $request->signed()));
    }

    public function update(RolesRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->roles($person, $request->roles(), $request->signed()));
    }

    public function lock(LockPersonRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $change->lock($person, $request->signed($typed['reason'])));
    }

    public function unlock(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->unlock($person, $request->signed()));
    }

    public function reset(ResetPasswordRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->reset($person, $request->validated('password'), $request->signed()));
    }
}
