<?php

namespace App\Models;

/** How a booking is undone: each kind has one way. */
enum Undoing
{
    /** By a booking that takes it back, book by book. */
    case Reversed;

    /** It was itself a taking back. */
    case BookedAgain;

    /** An opening. */
    case Counted;

    /** The fields it changed are changed once more. */
    case ChangedBack;

    /** It has begun a life of its own, which is ended. */
    case StaysSplit;

    /** What it asked for, or kept, is not wanted any more. */
    case GivenUp;

    /** A plan has an undo of its own; what is down, away or held is ended where it was said. */
    case EndedThere;

    public function whyNotReversed(): ?string
    {
        return match ($this) {
            self::Reversed => null,
            self::BookedAgain => 'A reversal is not reversed. Book the deed again.',
            self::Counted => 'An opening is not reversed. Count the stock, or correct the order, instead.',
            self::ChangedBack => 'Change it back instead; both changes stay in the history.',
            self::StaysSplit => 'What was split off stays an order of its own. Where it has not begun, cancel it '
                .'and make the other one larger.',
            self::GivenUp => 'This is given up where it stands: a purchase is cancelled, a bill sent back, what is '
                .'kept is free again, each on its page.',
            self::EndedThere => 'This is not reversed: plans are taken back on the board, what is down, away or held '
                .'is ended there.',
        };
    }
}
