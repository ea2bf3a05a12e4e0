<?php

namespace Tests\Support;

use App\Access\Role;
use App\Access\Roles;
use App\Actions\Import\ImportFolder;
use App\Demo\FirstNumbers;
use App\Models\Person;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The demo's people, product data and opening stock. */
class ShopSeeder extends Seeder
{
    public function run(ImportFolder $import): void
    {
        foreach (Role::cases() as $role) {
            $person = Person::query()->create([
                'login' => $role->value,
                'name' => ucfirst($role->label()),
                'password' => 'pace',
            ]);
            $person->setRoles(Roles::of($role));
        }
        foreach (FirstNumbers::ALL as $what => [$prefix, $next]) {
            DB::table('numberings')->upsert(['code' => $what, 'prefix' => $prefix, 'next' => $next], 'code');
        }
        $import->handle(base_path('demo'), Person::inRole(Role::Planner));
    }
}
