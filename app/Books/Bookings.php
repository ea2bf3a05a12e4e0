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
    /** How often what a deed needs may grow while it waits for what it knew of. */
    private const TRIES = 5;

    public function __construct(private readonly JustBooked $just)
    {
    }

    /**
     * The booking row is written first: its unique token makes a second sending wait for the first,
     * then get the first's answer. Other content under the same token (a form changed after going back to it)
     * is refused, or it would be lost behind that answer. Then all that its parts need is locked, and they write, one
     * after the other.
     */
    public function once(BookingKind $kind, Signed $signed, Part ...$parts): Booking
    {
        return $this->book($kind, $signed, null, PeriodLock::First, $parts);
    }

    /** A booking that takes another back: there is at most one. */
    public function reversing(int $booking, Signed $signed, Part $part): Booking
    {
        return $this->book(BookingKind::Reversal, $signed, $booking, PeriodLock::First, [$part]);
    }

    /** A deed for which the books lie differently: one that runs for minutes, or that closes them. */
    public function under(PeriodLock $period, BookingKind $kind, Signed $signed, Part $part): Booking
    {
        return $this->book($kind, $signed, null, $period, [$part]);
    }

    /** @param  array<Part>  $parts */
    private function book(BookingKind $kind, Signed $signed, ?int $reverses, PeriodLock $period, array $parts): Booking
    {
        if ($done = $this->done($signed)) {
            return $done;
        }
        try {
            $booking = $this->transacted(
                fn (): Booking => $this->written($kind, $signed, $reverses, $period, $parts),
            );
        } catch (UniqueConstraintViolationException $violation) {
            return $this->done($signed) ?? throw $this->reversedAlready($reverses) ?? $violation;
        }
        $this->just->booking = $booking;
        event(new Booked($booking));

        return $booking;
    }

    /**
     * What a part needs is read before it is locked; where it needs more by then, all is begun anew.
     *
     * @param  Closure(): Booking  $write
     */
    private function transacted(Closure $write): Booking
    {
        for ($try = 1; $try <= self::TRIES; $try++) {
            try {
                /** @var Booking */
                return DB::transaction($write, attempts: 5);
            } catch (NeedsGrew) {
                continue;
            }
        }
        throw Refused::because('Others are at work on the same documents just now. Send it again.');
    }

    /** @param  array<Part>  $parts */
    private function written(
        BookingKind $kind,
        Signed $signed,
        ?int $reverses,
        PeriodLock $period,
        array $parts,
    ): Booking {
        $ledger = new Ledger($this->row($kind, $signed, $reverses, Periods::begin($period, $signed->bookedOn)));
        $needs = fn (Needs $all, Part $part): Needs => $all->and($part->needs($ledger));
        $held = $ledger->hold(array_reduce($parts, $needs, Needs::nothing()));
        foreach ($parts as $part) {
            if ($part->mayNeedMore() && ! $held->needs->cover($part->needs($ledger))) {
                throw new NeedsGrew;
            }
        }
        foreach ($parts as $part) {
            $part->write($ledger, $held);
        }
        if ($period === PeriodLock::Last) {
            Periods::assertStillOpen($ledger->booking->booked_on, $signed->bookedOn);
        }
        $booking = $ledger->finish();
        if ($kind->changesFacts()) {
            DB::table('unplanned')->insert(['booking_id' => $booking->id]);
        }

        return $booking;
    }

    private function row(BookingKind $kind, Signed $signed, ?int $reverses, string $day): Booking
    {
        return Booking::begin([
            'token' => $signed->token,
            'fingerprint' => $signed->fingerprint,
            'kind' => $kind,
            'person_id' => $signed->person->id,
            'reason' => $signed->reason,
            'reverses_id' => $reverses,
            'entered_at' => now(),
            'booked_on' => $day,
        ]);
    }

    private function reversedAlready(?int $booking): ?Refused
    {
        $earlier = $booking === null ? null : Booking::query()->with('person')->firstWhere('reverses_id', $booking);

        return $earlier === null ? null : Refused::because("{$earlier->person->name} reversed this already.");
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
