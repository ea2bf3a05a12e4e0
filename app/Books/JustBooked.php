<?php

namespace App\Books;

use App\Models\Booking;

/**
 * What this request, job or command has booked, and what could not be brought up to date with it. The booking stands
 * whatever becomes of what follows it, and the answer says so.
 */
final class JustBooked
{
    public const PLAN = 'The plan could not be brought up to date with it; the log says why. It follows with the '
        .'next booking, or within some minutes.';

    public ?Booking $booking = null;

    /** A sentence; null = all is up to date. */
    public ?string $behind = null;

    /** Pieces reached a step whose work is ordered with them. */
    public bool $reachedOutside = false;

    /** A new request has booked nothing yet. */
    public function begin(): void
    {
        $this->booking = null;
        $this->behind = null;
        $this->reachedOutside = false;
    }
}
