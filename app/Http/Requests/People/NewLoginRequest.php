<?php

namespace App\Http\Requests\People;

use App\Access\OwnPassword;
use App\Actions\People\NewLogin;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;

/** Somebody who may log in from now on. */
class NewLoginRequest extends RolesRequest
{
    protected function fields(): array
    {
        $known = [$this->string('login')->value(), $this->string('name')->value()];

        return [
            'works' => ['nullable', 'integer', Rule::exists('people', 'id')],
            'name' => ['required_without:works', 'nullable', ...Rules::text(80)],
            'login' => ['required', ...Rules::code()],
            ...parent::fields(),
            'password' => ['required', new OwnPassword($known)],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'name.required_without' => 'Type a name, or choose who works here already.',
        ];
    }

    public function login(): NewLogin
    {
        return new NewLogin(
            $this->validated('name') ?? '',
            $this->validated('login'),
            $this->roles(),
            $this->validated('password'),
            $this->validated('works') === null ? null : $this->integer('works'),
        );
    }
}
