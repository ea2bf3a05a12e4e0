<?php

namespace App\Queries\Partners;

use App\Models\PartnerKind;
use App\Reading\Cut;
use App\Reading\Like;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** All customers, or all suppliers, narrowed down. */
final class PartnerList
{
    private const SHOWN = 300;

    /** @return Cut<ListedPartner> */
    public static function of(PartnerKind $kind, PartnerFilter $filter): Cut
    {
        $query = DB::table("{$kind->value} AS p")
            ->leftJoin('contacts AS k', fn (JoinClause $join) => $join
                ->on("k.{$kind->key()}", 'p.id')
                ->where('k.position', 1))
            ->leftJoinSub(self::open($kind), 'o', 'o.partner_id', 'p.id')
            ->orderBy('p.name')
            ->orderBy('p.id')
            ->select(['p.id', 'p.number', 'p.name', 'p.address', 'p.retired_at', 'k.name AS contact'])
            ->addSelect(['o.open', 'o.late', 'o.next'])
            ->selectSub(
                DB::table('contact_ways AS y')
                    ->whereColumn('y.contact_id', 'k.id')
                    ->orderBy('y.id')
                    ->limit(1)
                    ->select('y.at'),
                'reached',
            )
            ->selectRaw(self::items($kind).' AS items');
        self::narrow($query, $kind, $filter);

        return Cut::read($query, self::SHOWN, ListedPartner::from(...));
    }

    private static function narrow(Builder $query, PartnerKind $kind, PartnerFilter $filter): void
    {
        match ($filter->only) {
            'retired' => $query->whereNotNull('p.retired_at'),
            'open' => $query->where('o.open', '>', 0),
            default => $query->whereNull('p.retired_at'),
        };
        foreach ($filter->words() as $word) {
            $inside = Like::inside($word);
            $ways = DB::table('contacts AS c')
                ->leftJoin('contact_ways AS y', 'y.contact_id', 'c.id')
                ->whereColumn("c.{$kind->key()}", 'p.id')
                ->where(fn (Builder $any) => $any
                    ->where('c.name', 'like', $inside)
                    ->orWhere('c.asked_about', 'like', $inside)
                    ->orWhere('y.at', 'like', $inside));
            $query->where(fn (Builder $any) => $any
                ->where('p.number_key', 'like', Like::insideKey($word))
                ->orWhere('p.name', 'like', $inside)
                ->orWhere('p.address', 'like', $inside)
                ->orWhere('p.note', 'like', $inside)
                ->orWhereExists($ways));
        }
    }

    /** Open lines with each: how many, how many are past their day, and the first day. */
    private static function open(PartnerKind $kind): Builder
    {
        [$lines, $heads, $day] = match ($kind) {
            PartnerKind::Customer => ['customer_order_lines', 'customer_orders', 'promised_on'],
            PartnerKind::Supplier => ['purchase_lines', 'purchase_orders', 'expected_on'],
        };
        $head = rtrim($heads, 's');

        return DB::table("{$lines} AS l")
            ->join("{$heads} AS h", 'h.id', "l.{$head}_id")
            ->where('l.is_open', true)
            ->groupBy("h.{$kind->key()}")
            ->selectRaw("h.{$kind->key()} AS partner_id, COUNT(*) AS open, MIN(l.{$day}) AS next")
            ->selectRaw("SUM(l.{$day} < ?) AS late", [When::today()->toDateString()]);
    }

    private static function items(PartnerKind $kind): string
    {
        return match ($kind) {
            PartnerKind::Customer => '0',
            PartnerKind::Supplier => '(SELECT COUNT(*) FROM items i WHERE i.retired_at IS NULL '
                .'AND (i.supplier_id = p.id OR EXISTS '
                .'(SELECT 1 FROM supplier_items t WHERE t.item_id = i.id AND t.supplier_id = p.id)))',
        };
    }
}
