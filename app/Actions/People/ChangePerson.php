<?php

namespace App\Actions\People;

use App\Access\Deed;
use App\Access\Roles;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Refused;

/** A person gets other roles, is locked or let in again, or gets a new password from somebody else. */
final class ChangePerson
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function roles(int $id, Roles $roles, Signed $signed): Booking
    {
        return $this->change($id, $signed, function (Person $user) use ($roles): string {
            $was = $user->roles();
            if ($was->equals($roles)) {
                throw Refused::because("{$user->name} is {$roles->label()} already.", 'roles');
            }
            $user->setRoles($roles);

            return "{$user->name} is {$roles->label()} now, before {$was->label()}.";
        });
    }

    /**
     * Ends what is open and lets nobody in by this login.
     *
     * @throws Refused
     */
    public function lock(int $id, Signed $signed): Booking
    {
        return $this->change($id, $signed, function (Person $user) use ($signed): string {
            if ($user->id === $signed->person->id) {
                throw Refused::because('You cannot lock yourself out. Somebody else has to.');
            }
            if ($user->locked_at !== null) {
                throw Refused::because("{$user->name} is locked already.");
            }
            $user->locked_at = now()->toImmutable();
            Sessions::end($user->id);

            return "{$user->name} is locked.";
        });
    }

    /** @throws Refused */
    public function unlock(int $id, Signed $signed): Booking
    {
        return $this->change($id, $signed, function (Person $user): string {
            if ($user->locked_at === null) {
                throw Refused::because("{$user->name} is not locked.");
            }
            $user->locked_at = null;

            return "{$user->name} may log in again.";
        });
    }

    /**
     * Gives a password that is changed at the next login; all that is open is ended.
     *
     * @throws Refused
     */
    public function reset(int $id, string $password, Signed $signed): Booking
    {
        return $this->change($id, $signed, function (Person $user) use ($password): string {
            $user->fill(['password' => $password, 'must_change' => true, 'is_demo' => false]);
            Sessions::end($user->id);

            return "{$user->name} has a new password, to be changed at the next login.";
        });
    }

    /** @param  \Closure(Person): string  $work */
    private function change(int $id, Signed $signed, \Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::Person,
            $signed,
            Part::writing(function (Ledger $ledger) use ($id, $work): void {
                // all of them, by id: somebody who can let others in must be left
                $all = Person::whoLogIn()->with('personRoles')->orderBy('id')->lockForUpdate()->get()->keyBy('id');
                $user = $all[$id] ?? throw Refused::because('That person is not there any more.');
                $said = $work($user);
                self::assertSomebodyIsLeft($all);
                $user->save();
                $ledger->says($said);
            }),
        );
    }

    /** @param  Collection<int, Person>  $all */
    private static function assertSomebodyIsLeft(Collection $all): void
    {
        if (! $all->contains(fn (Person $user): bool => $user->locked_at === null && $user->may(Deed::People))) {
            throw Refused::because('Nobody would be left who can let others in. Give somebody else that role first.');
        }
    }
}
