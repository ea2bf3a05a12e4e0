<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** The life of what is ordered of a supplier. */
enum PurchaseState: string
{
    case Draft = 'draft';
    case Sent = 'sent';
    case Confirmed = 'confirmed';
    case PartIn = 'part_in';
    case Done = 'done';
    case Cancelled = 'cancelled';

    /**
     * @param  bool  $isOpen  something of it is still to come
     * @param  bool  $hasCome  something of it came
     */
    public static function derived(bool $isSent, bool $isConfirmed, bool $isOpen, bool $hasCome): self
    {
        return match (true) {
            ! $isOpen => $hasCome ? self::Done : self::Cancelled,
            $hasCome => self::PartIn,
            $isConfirmed => self::Confirmed,
            $isSent => self::Sent,
            default => self::Draft,
        };
    }
}
