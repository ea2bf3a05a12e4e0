<?php

namespace App\Console;

use App\Access\Role;
use App\Models\User;
use Illuminate\Console\Command;

/** Makes one person for each role, or lists them. */
class People extends Command
{
    protected $signature = 'pace:people {--list : only list the logins}';

    protected $description = 'Make a person for each role (a login by role, password "pace")';

    private const NAMES = ['supervisor' => 'Maren Okafor', 'planner' => 'Piet Lindqvist', 'storekeeper' => 'Sunniva Barr',
        'operator' => 'Oskar Vane',
        'buyer' => 'Ilse Marchetti', 'sales' => 'Tomas Quill', 'cost-clerk' => 'Wilma Ashe'];

    public function handle(): int
    {
        foreach ($this->option('list') ? [] : Role::cases() as $role) {
            User::query()->firstOrCreate(['login' => $role->value],
                ['name' => self::NAMES[$role->value], 'role' => $role, 'password' => 'pace']);
        }
        $this->line('Log in as '.User::query()->orderBy('id')->pluck('login')->join(', ').'; the password of the demo people is "pace".');

        return self::SUCCESS;
    }
}
