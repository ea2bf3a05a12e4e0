<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Settings\KeepNumberings;
use App\Actions\Settings\TypedNumbering;
use App\Books\Signed;
use App\Models\Person;

/** Where the demo's numbers begin: behind what its files name. */
final readonly class FirstNumbers
{
    /** By what is numbered. */
    public const ALL = [
        'order' => ['', 218],
        'customer_order' => ['C-', 1041],
        'purchase' => ['P-', 500],
        'consignment' => ['OUT-', 101],
        'serial' => ['MX-', 10001],
    ];

    public function __construct(private KeepNumberings $numberings)
    {
    }

    public function keep(): void
    {
        $this->numberings->handle(
            array_map(fn (array $rule): TypedNumbering => new TypedNumbering(...$rule), self::ALL),
            new Signed('demo-numbers', Person::inRole(Role::Supervisor)),
        );
    }
}
