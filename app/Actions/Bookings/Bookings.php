<?php

namespace App\Actions\Bookings;

use App\Actions\Schedule\KeepUp;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** The one way to book: one transaction, once for each token, the plan brought up to date after it. */
final class Bookings
{
    public function __construct(private readonly KeepUp $plan, private readonly JustBooked $just)
    {
    }

    /**
     * The booking row is written first: its unique token makes a second sending wait for the first,
     * then get the first's answer. Other content under the same token (a form changed after going back to it)
     * is refused, or it would be lost behind that answer.
     *
     * @param  string  $token  the form's token, after a dot the fingerprint of what was sent where a form was
     * @param  Closure(Ledger): void  $work  locks, asks core, writes through the ledger
     * @param  string|null  $bookedOn  the day it counts for; null = today
     * @param  PeriodLock  $period  when the period is locked
     */
    public function once(
        BookingKind $kind,
        string $token,
        Person $by,
        Closure $work,
        string $reason = '',
        ?int $reverses = null,
        ?string $bookedOn = null,
        PeriodLock $period = PeriodLock::First,
    ): Booking {
        [$token, $fingerprint] = explode('.', "{$token}.");
        if ($done = $this->done($token, $fingerprint)) {
            return $done;
        }
        try {
            $booking = DB::transaction(function () use (
                $kind,
                $token,
                $fingerprint,
                $by,
                $work,
                $reason,
                $reverses,
                $bookedOn,
                $period
            ): Booking {
                $day = Periods::begin($period, $bookedOn);
                $ledger = new Ledger(
                    Booking::query()->create([
                        'token' => $token,
                        'fingerprint' => $fingerprint,
                        'kind' => $kind,
                        'user_id' => $by->id,
                        'reason' => $reason,
                        'reverses_id' => $reverses,
                        'entered_at' => now(),
                        'booked_on' => $day,
                    ]),
                );
                $work($ledger);
                if ($period === PeriodLock::Last) {
                    $ledger->booking->booked_on = Periods::begin(PeriodLock::First, $bookedOn);
                }

                return $ledger->finish();
            }, attempts: 5);
        } catch (UniqueConstraintViolationException $violation) {
            return $this->done($token, $fingerprint)
                ?? throw $this->reversedAlready($reverses) ?? $violation;
        }
        $this->just->booking = $booking;
        $this->plan->after($booking);

        return $booking;
    }

    private function reversedAlready(?int $booking): ?Refused
    {
        $earlier = $booking === null ? null : Booking::query()->with('user')->firstWhere('reverses_id', $booking);

        return $earlier === null ? null : Refused::because("{$earlier->user->name} reversed this already.");
    }

    /** @throws Refused when the token stands for something else than what was sent */
    private function done(string $token, string $fingerprint): ?Booking
    {
        $done = Booking::query()->firstWhere('token', $token);
        if ($done !== null && $done->fingerprint !== $fingerprint) {
            throw Refused::because(
                "This form was sent before and booked: {$done->says} To book this as well, send it again; to correct the first, reverse it.",
            );
        }

        return $done;
    }
}
