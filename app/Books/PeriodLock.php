<?php

namespace App\Books;

/** When a deed takes the lock of the period. */
enum PeriodLock
{
    /** Before all else, shared with the other deeds: the usual. */
    case First;

    /** In its last step: an import runs for minutes, and the books can be closed meanwhile. */
    case Last;

    /** Alone, without waiting: who waited for it would make every booking of the shop wait behind. */
    case Closing;
}
