<?php

namespace App\Actions\People;

use App\Access\Roles;

/** Who is let in, by which login, and as what. */
final readonly class NewLogin
{
    /** @param  int|null  $works  who works here already; the name is that person's then */
    public function __construct(
        public string $name,
        public string $login,
        public Roles $roles,
        #[\SensitiveParameter] public string $password,
        public ?int $works = null,
    ) {
    }
}
