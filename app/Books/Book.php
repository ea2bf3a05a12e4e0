<?php

namespace App\Books;

use KeepPace\Core\Refused;

/**
 * One kind of what a booking writes, and how it is taken back. The ledger holds one of each, in one order; a new one
 * is added there and nothing else changes: reversing knows no kinds of bookings.
 */
interface Book
{
    /** What must be held to take back what the booking wrote here; asked before anything is locked. */
    public function locks(Undone $undone): Needs;

    /**
     * What stands against it, all of it at once; asked when it is held, before anything is written.
     *
     * @return list<string> sentences
     */
    public function against(Undone $undone): array;

    /**
     * Takes back what the booking wrote here, as far as it still can.
     *
     * @throws Refused naming the later bookings that stand on it
     */
    public function reverse(Undone $undone): void;

    /** Writes what waited for the end of the deed. */
    public function flush(): void;
}
