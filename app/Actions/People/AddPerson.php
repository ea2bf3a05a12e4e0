<?php

namespace App\Actions\People;

use App\Access\Role;
use App\Access\Roles;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
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
     * @throws Refused when the login is taken, or somebody who works here has one already
     */
    public function handle(NewLogin $new, bool $isGiven, Signed $signed): Booking
    {
        $work = Part::writing(function (Ledger $ledger) use ($new, $isGiven): void {
            $person = self::make($new, $isGiven);
            $ledger->says("{$person->name} may log in as {$new->login}, {$new->roles->label()}.");
        });

        return $this->bookings->once(BookingKind::Person, $signed, $work);
    }

    /** The first of all, who lets the others in; refused when there is somebody already. */
    public function first(string $name, string $login, string $password): Person
    {
        return DB::transaction(function () use ($name, $login, $password): Person {
            if (Person::whoLogIn()->exists()) {
                throw Refused::because('There is somebody already who can let others in.');
            }
            $user = self::make(new NewLogin($name, $login, Roles::of(Role::Supervisor), $password), false);
            $this->bookings->once(BookingKind::Person, Signed::by($user), Part::writing(
                fn (Ledger $ledger) => $ledger->says("{$name} is the first who may log in, as {$login}."),
            ));

            return $user;
        });
    }

    private static function make(NewLogin $new, bool $isGiven): Person
    {
        if (Person::query()->where('login_key', Code::keyOf($new->login))->exists()) {
            throw Refused::because("Somebody logs in as {$new->login} already.", 'login');
        }
        $person = self::who($new);
        $person->fill(['login' => $new->login, 'password' => $new->password, 'must_change' => $isGiven])->save();
        $person->setRoles($new->roles);

        return $person;
    }

    /** Somebody new, or somebody who has worked here without a login. */
    private static function who(NewLogin $new): Person
    {
        if ($new->works === null) {
            return new Person(['name' => $new->name]);
        }
        $person = Person::query()->lockForUpdate()->find($new->works)
            ?? throw Refused::because('That person is not there any more.', 'works');
        if ($person->login !== null) {
            throw Refused::because("{$person->name} logs in as {$person->login} already.", 'works');
        }

        return $person;
    }
}
