<?php

namespace App\Models;

/** What a booking is about. Deeds without moves are bookings too: together they are the audit trail. */
enum BookingKind: string
{
    case Import = 'import';
    case CustomerOrder = 'customer_order';
    case CustomerLineChanged = 'customer_line_changed';
    case Cover = 'cover';
    case OrderMade = 'order_made';
    case OrderChanged = 'order_changed';
    case Release = 'release';
    case GoodsIn = 'goods_in';
    case Issue = 'issue';
    case Return = 'return';
    case Start = 'start';
    case Report = 'report';
    case Receive = 'receive';
    case Ship = 'ship';
    case Close = 'close';
    case Count = 'count';
    case LoadedByRank = 'loaded_by_rank';
    case Reversal = 'reversal';

    public function label(): string
    {
        return match ($this) {
            self::Import => 'opening',
            self::CustomerOrder => 'customer order',
            self::CustomerLineChanged => 'line changed',
            self::Cover => 'cover',
            self::OrderMade => 'order made',
            self::OrderChanged => 'order changed',
            self::Release => 'release',
            self::GoodsIn => 'goods in',
            self::Issue => 'issue',
            self::Return => 'return',
            self::Start => 'start',
            self::Report => 'count and pass on',
            self::Receive => 'receive',
            self::Ship => 'ship',
            self::Close => 'close',
            self::Count => 'count',
            self::LoadedByRank => 'loaded by rank',
            self::Reversal => 'reversal',
        };
    }

    /** Openings are counted again, changes changed back and plans made anew; all else has its exact negative. */
    public function isReversible(): bool
    {
        return ! in_array($this, [self::Reversal, self::Import, self::OrderChanged, self::CustomerLineChanged, self::LoadedByRank], true);
    }
}
