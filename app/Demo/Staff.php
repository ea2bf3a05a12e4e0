<?php

namespace App\Demo;

use App\Access\Role;
use App\Books\Signed;
use App\Models\Person;
use Closure;

/** The people of the story: who does a deed, and signs it with a token that is the same in each telling. */
final readonly class Staff
{
    /** @param  Closure(Role): Person  $as */
    public function __construct(private Closure $as, private Dice $dice)
    {
    }

    public function in(Role $role): Person
    {
        return ($this->as)($role);
    }

    public function signs(Role $role, string $reason = ''): Signed
    {
        return new Signed($this->dice->token(), $this->in($role), $reason);
    }
}
