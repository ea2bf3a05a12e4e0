<?php

namespace App\Models;

use App\Access\Deed;
use App\Access\Role;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A person who logs in, with one role.
 *
 * @property int $id
 * @property string $name
 * @property string $login
 * @property string $password
 * @property \App\Access\Role $role
 * @property \Carbon\CarbonImmutable|null $locked_at nobody gets in by this login
 * @property bool $must_change the password was given by somebody else
 * @property bool $is_demo has the demo's password
 * @property string|null $badge
 * @property string|null $remember_token
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $updated_at
 */
class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'locked_at' => 'immutable_datetime',
            'must_change' => 'boolean',
            'is_demo' => 'boolean',
        ];
    }

    public function may(Deed $deed): bool
    {
        return $this->role->may($deed);
    }
}
