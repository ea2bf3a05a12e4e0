<?php

namespace App\Queries\Purchasing;

use App\Models\Item;
use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Deliveries;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What is to come of suppliers, line by line, soonest first. */
final class PurchaseList
{
    private const SHOWN = 150;

    /** @return Cut<OpenPurchase> still to come, soonest first */
    public static function lines(): Cut
    {
        return self::read(self::open(...));
    }

    /** @return Cut<OpenPurchase> what is to come of a supplier, soonest first */
    public static function ofSupplier(int $supplier): Cut
    {
        return self::read(fn (Builder $lines): Builder => self::open($lines)->where('po.supplier_id', $supplier));
    }

    /** One that is to come; null = nothing of it is. */
    public static function line(int $id): ?OpenPurchase
    {
        return self::read(fn (Builder $lines): Builder => self::open($lines)->where('u.id', $id))->rows->first();
    }

    private static function open(Builder $lines): Builder
    {
        return $lines->where('u.is_open', true)->orderBy('u.expected_on');
    }

    /**
     * @param  Closure(Builder): Builder  $which
     * @return Cut<OpenPurchase>
     */
    private static function read(Closure $which): Cut
    {
        $deliveries = Deliveries::now();
        $lines = $which(DB::table('purchase_lines AS u')
            ->join('purchase_orders AS po', 'po.id', 'u.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'po.supplier_id')
            ->join('items AS i', 'i.id', 'u.item_id')
            ->join('units AS x', 'x.id', 'i.unit_id'))
            ->orderBy('u.id')
            ->select([
                'u.id',
                'u.number',
                'u.purchase_order_id',
                'u.item_id',
                'u.quantity',
                'u.received_quantity',
                'u.cancelled_quantity',
                'u.price',
                'u.expected_on',
                'u.first_expected_on',
                'u.days_passed',
                'u.ask_again_on',
                'u.asked_for',
                'u.is_open',
                's.name AS supplier',
                'x.code AS unit',
            ])
            ->selectRaw(Item::SHOWN_NUMBER)
            ->selectRaw("COALESCE(NULLIF(u.words, ''), i.name) AS item_name");

        return Cut::read(
            $lines,
            self::SHOWN,
            fn (Row $row): OpenPurchase => OpenPurchase::from($row, $deliveries),
        );
    }
}
