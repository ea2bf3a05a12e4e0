<?php

namespace App\Actions\People;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use Illuminate\Support\Facades\Hash;
use KeepPace\Core\Refused;

/** A person takes another password; other logins of the same person are ended. */
final class ChangePassword
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $session  the login it is done from, which goes on
     *
     * @throws Refused when the present password is another
     */
    public function handle(string $present, string $new, string $session, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Person, $signed, Part::writing(function (Ledger $ledger) use (
            $present,
            $new,
            $session,
            $signed,
        ): void {
            $user = Person::query()->lockForUpdate()->findOrFail($signed->person->id);
            if (! Hash::check($present, (string) $user->password)) {
                throw Refused::because('That is not your present password.', 'present');
            }
            if (Hash::check($new, (string) $user->password)) {
                throw Refused::because('That is the password you have. Take another.', 'new');
            }
            $user->fill(['password' => $new, 'must_change' => false, 'is_demo' => false])->save();
            Sessions::end($user->id, $session);
            $ledger->says("{$user->name} took a new password.");
        }));
    }
}
