<?php

namespace App\Queries\Purchasing;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;

/** Which purchase orders are shown, with how many there are. */
enum PurchaseFilter: string
{
    case Coming = 'coming';
    case Drafts = 'drafts';
    case Unconfirmed = 'unconfirmed';
    case Asked = 'asked';
    case All = 'all';

    /** Where nothing or something unknown is asked for, what is to come is shown. */
    public static function asked(?string $typed): self
    {
        return self::tryFrom($typed ?? '') ?? self::Coming;
    }

    public function label(): string
    {
        return match ($this) {
            self::Coming => 'to come',
            self::Drafts => 'drafts',
            self::Unconfirmed => 'not confirmed',
            self::Asked => 'answered otherwise',
            self::All => 'all orders',
        };
    }

    /** Where there are none. */
    public function none(): string
    {
        return match ($this) {
            self::Coming => 'Nothing is to come.',
            self::Drafts => 'No purchase waits to be sent.',
            self::Unconfirmed => 'All that was sent is confirmed.',
            self::Asked => 'No supplier answered otherwise than it was ordered.',
            self::All => 'Nothing was ever ordered.',
        };
    }

    /** Orders, but for what is to come: that is a list of lines. */
    public function orders(): Builder
    {
        $orders = DB::table('purchase_orders AS o');

        return match ($this) {
            self::Coming => $orders->whereIn('o.state', PurchaseState::COMING),
            self::Drafts => $orders->where('o.state', PurchaseState::Draft->value),
            self::Unconfirmed => $orders->where('o.state', PurchaseState::Sent->value),
            self::Asked => $orders->whereExists(
                DB::table('purchase_lines AS l')
                    ->whereColumn('l.purchase_order_id', 'o.id')
                    ->whereNotNull('l.answered_quantity')
                    ->select('l.id'),
            ),
            self::All => $orders,
        };
    }

    /** @return array<string, int> how many there are of those somebody has to do something about */
    public static function counts(): array
    {
        $counts = [];
        foreach ([self::Drafts, self::Unconfirmed, self::Asked] as $filter) {
            $counts[$filter->value] = $filter->orders()->count();
        }

        return $counts;
    }
}
