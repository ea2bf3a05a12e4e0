<?php

namespace App\Http\Controllers;

use App\Access\OwnPassword;
use App\Access\Role;
use App\Actions\People\AddPerson;
use App\Actions\People\ChangePerson;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\Rule;

/** Who may log in, and as what. */
class PersonController extends Controller
{
    public function index(): View
    {
        return view('people.index', ['people' => User::query()->orderBy('name')->get(), 'roles' => Role::cases()]);
    }

    public function store(DeedRequest $request, AddPerson $add): RedirectResponse
    {
        $typed = $request->validate([
            'name' => ['required', ...Rules::text(80)],
            'login' => ['required', ...Rules::code()],
            'role' => ['required', Rule::enum(Role::class)],
            'password' => [
                'required',
                new OwnPassword([(string) $request->input('login'), (string) $request->input('name')]),
            ],
        ]);

        return $this->done(back(), $add->handle(
            $typed['name'],
            $typed['login'],
            Role::from($typed['role']),
            $typed['password'],
            true,
            $request->token(),
            $request->person(),
        ));
    }

    public function update(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $typed = $request->validate(['role' => ['required', Rule::enum(Role::class)]]);

        return $this->done(
            back(),
            $change->role($person, Role::from($typed['role']), $request->token(), $request->person()),
        );
    }

    public function lock(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $typed = $request->validate(['reason' => ['required', ...Rules::text(200)]], ['reason.required' => 'Say why.']);

        return $this->done(back(), $change->lock($person, $typed['reason'], $request->token(), $request->person()));
    }

    public function unlock(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->unlock($person, $request->token(), $request->person()));
    }

    public function reset(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $user = User::query()->findOrFail($person);
        $typed = $request->validate(['password' => ['required', new OwnPassword([$user->login, $user->name])]]);

        return $this->done(back(), $change->reset($person, $typed['password'], $request->token(), $request->person()));
    }
}
