<?php

namespace App\Http\Requests\People;

use App\Access\Role;
use App\Access\Roles;
use App\Http\Requests\DeedRequest;
use Illuminate\Validation\Rule;

/** What somebody may do from now on. */
class RolesRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'roles' => ['required', 'array', 'min:1', 'max:'.count(Role::cases())],
            'roles.*' => ['required', 'distinct', Rule::enum(Role::class)],
        ];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'roles.required' => 'Tick one role or more.'];
    }

    public function roles(): Roles
    {
        return Roles::fromWords($this->validated('roles'));
    }
}
