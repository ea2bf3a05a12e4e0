<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** The life of what is ordered of a supplier. */
enum PurchaseState: string
{
    case Draft = 'draft';
    case Sent = 'sent';
    case Confirmed = 'confirmed';
    case PartIn = 'part_in';
    case Done = 'done';
    case Cancelled = 'cancelled';

    /** Sent, and something of it is still to come. */
    public const COMING = [self::Sent, self::Confirmed, self::PartIn];

    /** In the words of a page. */
    public function label(): string
    {
        return match ($this) {
            self::Draft => 'a draft',
            self::Sent => 'sent',
            self::Confirmed => 'confirmed',
            self::PartIn => 'partly in',
            self::Done => 'done',
            self::Cancelled => 'cancelled',
        };
    }

    /** Something of it is wanted still. */
    public function isOpen(): bool
    {
        return $this !== self::Done && $this !== self::Cancelled;
    }

    public function isDraft(): bool
    {
        return $this === self::Draft;
    }

    /**
     * Of one line: its order may be further.
     *
     * @param  bool  $isOpen  it is sent, and something of it is to come
     */
    public static function ofLine(bool $isDraft, bool $isConfirmed, bool $isOpen, bool $hasCome): self
    {
        return $isDraft ? self::Draft : self::derived(true, $isConfirmed, $isOpen, $hasCome);
    }

    /**
     * @param  bool  $isOpen  something of it is still wanted and has not come
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
