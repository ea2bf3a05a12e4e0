<?php

namespace App\Demo;

use App\Access\Role;
use App\Access\Roles;
use App\Models\Person;
use App\StandIn\StandIn;
use Illuminate\Support\Facades\Hash;

/** The people of the demo, one for each role, with a password that is told at the login. */
final class People
{
    public const PASSWORD = 'pace';

    private const NAMES = [
        'supervisor' => 'Maren Okafor',
        'planner' => 'Piet Lindqvist',
        'storekeeper' => 'Sunniva Barr',
        'operator' => 'Oskar Vane',
        'buyer' => 'Ilse Marchetti', 'sales' => 'Tomas Quill', 'cost-clerk' => 'Wilma Ashe',
    ];

    public static function make(): void
    {
        $password = Hash::make(self::PASSWORD); // a third of a second each, and all have the same
        foreach (Role::cases() as $role) {
            $person = Person::query()->firstOrCreate(['login' => $role->value], [
                'name' => self::NAMES[$role->value],
                'password' => $password,
                'is_demo' => true,
            ]);
            $person->setRoles(Roles::of($role));
        }
        StandIn::make();
    }

    /** @return array<string, Person> who has it, by role */
    public static function byRole(): array
    {
        $people = [];
        foreach (Role::cases() as $role) {
            $people[$role->value] = Person::inRole($role);
        }

        return $people;
    }
}
