<?php

namespace App\Http\Controllers\People;

use App\Actions\People\AddPerson;
use App\Actions\People\ChangePerson;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\NewLoginRequest;
use App\Http\Requests\People\RolesRequest;
use App\Models\Person;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Who may log in, and as what. */
class PersonController extends Controller
{
    public function index(): View
    {
        return view('people.index', [
            'people' => Person::withLogins(),
            'others' => Person::withoutLogin(),
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
}
