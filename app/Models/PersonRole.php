<?php

namespace App\Models;

use App\Access\Role;
use Illuminate\Database\Eloquent\Model;

/**
 * One of the roles of a person who logs in.
 *
 * @property int $person_id
 * @property \App\Access\Role $role
 */
class PersonRole extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class];
    }
}
