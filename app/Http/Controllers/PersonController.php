<?php

namespace App\Http\Controllers;

use App\Access\OwnPassword;
use App\Access\Role;
use App\Access\Roles;
use App\Actions\People\AddPerson;
use App\Actions\People\ChangePerson;
use App\Actions\People\NewLogin;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\Person;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\Rule;

/** Who may log in, and as what. */
class PersonController extends Controller
{
    private const NO_ROLE = ['roles.required' => 'Tick one role or more.'];

    public function index(): View
    {
        return view('people.index', [
            'people' => Person::whoLogIn()->with('personRoles')->orderBy('name')->get(),
            'others' => Person::query()->whereNull('login')->where('is_there', true)->orderBy('name')->get(),
        ]);
    }

    public function store(DeedRequest $request, AddPerson $add): RedirectResponse
    {
        $typed = $request->validate([
            'works' => ['nullable', 'integer', Rule::exists('people', 'id')],
            'name' => ['required_without:works', 'nullable', ...Rules::text(80)],
            'login' => ['required', ...Rules::code()],
            ...self::roles(),
            'password' => [
                'required',
                new OwnPassword([(string) $request->input('login'), (string) $request->input('name')]),
            ],
        ], ['name.required_without' => 'Type a name, or choose who works here already.', ...self::NO_ROLE]);

        $new = new NewLogin(
            $typed['name'] ?? '',
            $typed['login'],
            Roles::fromWords($typed['roles']),
            $typed['password'],
            isset($typed['works']) ? (int) $typed['works'] : null,
        );

        return $this->done(back(), $add->handle($new, true, $request->signed()));
    }

    public function update(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $roles = Roles::fromWords($request->validate(self::roles(), self::NO_ROLE)['roles']);

        return $this->done(back(), $change->roles($person, $roles, $request->signed()));
    }

    public function lock(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $typed = $request->validate(['reason' => ['required', ...Rules::text(200)]], ['reason.required' => 'Say why.']);

        return $this->done(back(), $change->lock($person, $request->signed($typed['reason'])));
    }

    public function unlock(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        return $this->done(back(), $change->unlock($person, $request->signed()));
    }

    public function reset(DeedRequest $request, int $person, ChangePerson $change): RedirectResponse
    {
        $user = Person::whoLogIn()->findOrFail($person);
        $typed = $request->validate([
            'password' => ['required', new OwnPassword([(string) $user->login, $user->name])],
        ]);

        return $this->done(back(), $change->reset($person, $typed['password'], $request->signed()));
    }

    /** @return array<string, list<mixed>> */
    private static function roles(): array
    {
        return [
            'roles' => ['required', 'array', 'min:1', 'max:'.count(Role::cases())],
            'roles.*' => ['required', 'distinct', Rule::enum(Role::class)],
        ];
    }
}
