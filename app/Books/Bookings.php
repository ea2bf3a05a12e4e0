<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\BookingKind;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** The one way to book: one transaction, once for each token; who follows what is booked is told after it. */
final class Bookings
{
    public function __construct(private readonly JustBooked $just)
    {
    }

    /**
     * The booking row is written first: its unique token makes a second sending wait for the first,
     * then get the first's answer. Other content under the same token (a form changed after going back to it)
     * is refused, or it would be lost behind that answer.
     *
     * @param  Closure(Ledger): void  $work  locks, asks core, writes through the ledger
     * @param  PeriodLock  $period  when the period is locked
     */
    public function once(
        BookingKind $kind,
        Signed $signed,
        Closure $work,
        ?int $reverses = null,
        PeriodLock $period = PeriodLock::First,
    ): Booking {
        if ($done = $this->done($signed)) {
            return $done;
        }
        try {
            $booking = DB::transaction(function () use ($kind, $signed, $work, $reverses, $period): Booking {
                $ledger = new Ledger($this->row($kind, $signed, $reverses, Periods::begin($period, $signed->bookedOn)));
                $work($ledger);
                if ($period === PeriodLock::Last) {
                    Periods::assertStillOpen($ledger->booking->booked_on, $signed->bookedOn);
                }
                $booking = $ledger->finish();
                if ($kind->changesFacts()) {
                    DB::table('unplanned')->insert(['booking_id' => $booking->id]);
                }

                return $booking;
            }, attempts: 5);
        } catch (UniqueConstraintViolationException $violation) {
            return $this->done($signed) ?? throw $this->reversedAlready($reverses) ?? $violation;
        }
        $this->just->booking = $booking;
        event(new Booked($booking));

        return $booking;
    }

    private function row(BookingKind $kind, Signed $signed, ?int $reverses, string $day): Booking
    {
        return Booking::begin([
            'token' => $signed->token,
            'fingerprint' => $signed->fingerprint,
            'kind' => $kind,
            'user_id' => $signed->person->id,
            'reason' => $signed->reason,
            'reverses_id' => $reverses,
            'entered_at' => now(),
            'booked_on' => $day,
        ]);
    }

    private function reversedAlready(?int $booking): ?Refused
    {
        $earlier = $booking === null ? null : Booking::query()->with('user')->firstWhere('reverses_id', $booking);

        return $earlier === null ? null : Refused::because("{$earlier->user->name} reversed this already.");
    }

    /** @throws Refused when the token stands for something else than what was sent */
    private function done(Signed $signed): ?Booking
    {
        $done = Booking::query()->firstWhere('token', $signed->token);
        if ($done !== null && $done->fingerprint !== $signed->fingerprint) {
            throw Refused::because(
                "This form was sent before and booked: {$done->says} To book this as well, send it again; to correct "
                    .'the first, reverse it.',
            );
        }

        return $done;
    }
}
