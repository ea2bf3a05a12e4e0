<?php

namespace App\View\Components;

use App\Access\Role;
use App\Access\Roles;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The roles of a person to tick, one or more. */
class RoleTicks extends Component
{
    /** @var list<Role> */
    public readonly array $all;

    public readonly ?string $why;

    public function __construct(
        public readonly Typed $in,
        public readonly string $label,
        private readonly ?Roles $roles = null,
    ) {
        $this->all = Role::cases();
        $this->why = $in->why('roles') ?? $in->why('roles.0');
    }

    public function isOn(Role $role): bool
    {
        return $this->in->ticks('roles', $role->value, $this->roles?->has($role) ?? false);
    }

    public function render(): View
    {
        return view('components.role-ticks');
    }
}
