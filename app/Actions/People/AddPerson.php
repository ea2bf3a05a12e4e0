<?php

namespace App\Actions\People;

use App\Access\Role;
use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Somebody new may log in. */
final class AddPerson
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  bool  $isGiven  somebody else chose the password: it is changed at the first login
     *
     * @throws Refused when the login is taken
     */
    public function handle(
        string $name,
        string $login,
        Role $role,
        string $password,
        bool $isGiven,
        string $token,
        User $by,
    ): Booking {
        return $this->bookings->once(BookingKind::Person, $token, $by, function (Ledger $ledger) use (
            $name,
            $login,
            $role,
            $password,
            $isGiven
        ): void {
            self::make($name, $login, $role, $password, $isGiven);
            $ledger->says("{$name} may log in as {$login}, {$role->label()}.");
        });
    }

    /** The first of all, who lets the others in. @throws Refused when there is somebody already */
    public function first(string $name, string $login, string $password): User
    {
        return DB::transaction(function () use ($name, $login, $password): User {
            if (User::query()->exists()) {
                throw Refused::because('There is somebody already who can let others in.');
            }
            $user = self::make($name, $login, Role::Supervisor, $password, false);
            $this->bookings->once(BookingKind::Person, (string) Str::uuid(), $user, fn (Ledger $ledger) => $ledger
                ->says("{$name} is the first who may log in, as {$login}."));

            return $user;
        });
    }

    private static function make(string $name, string $login, Role $role, string $password, bool $isGiven): User
    {
        if (User::query()->where('login_key', Code::keyOf($login))->exists()) {
            throw Refused::because("Somebody logs in as {$login} already.", 'login');
        }

        return User::query()->create([
            'name' => $name,
            'login' => $login,
            'role' => $role,
            'password' => $password,
            'must_change' => $isGiven,
        ]);
    }
}
