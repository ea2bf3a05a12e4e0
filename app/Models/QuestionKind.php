<?php

namespace App\Models;

/** What is asked about, and by which deed it is answered. */
enum QuestionKind: string
{
    /** Backflush could not take a component: it is answered by what is booked of it, or in words. */
    case Backflush = 'backflush';

    /** Scrap leaves an order short: it is answered by a cure, by closing, or in words. */
    case Short = 'short';

    /** More came on a purchase than is taken: it is answered by what becomes of it. */
    case Over = 'over';

    /** Pieces were spoiled at a supplier: it is answered by whose fault that was. */
    case Rejects = 'rejects';

    /** A part of ours is left at a supplier: it is answered by what becomes of it. */
    case Left = 'left';
}
