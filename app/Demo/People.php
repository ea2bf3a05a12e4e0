<?php

namespace App\Demo;

use App\Access\Role;
use App\Models\User;

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
        foreach (Role::cases() as $role) {
            User::query()->firstOrCreate(['login' => $role->value], [
                'name' => self::NAMES[$role->value],
                'role' => $role,
                'password' => self::PASSWORD,
                'is_demo' => true,
            ]);
        }
    }
}
