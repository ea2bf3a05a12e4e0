<?php

namespace Tests\Support;

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Models\User;
use Illuminate\Database\Seeder;

/** The demo's people, product data and opening stock. */
class ShopSeeder extends Seeder
{
    public function run(ImportFolder $import): void
    {
        foreach (Role::cases() as $role) {
            User::query()->create(['login' => $role->value, 'name' => ucfirst($role->label()), 'role' => $role, 'password' => 'pace']);
        }
        $import->handle(base_path('demo'), User::query()->where('role', 'planner')->firstOrFail());
    }
}
