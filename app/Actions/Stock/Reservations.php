<?php

namespace App\Actions\Stock;

use App\Actions\Bookings\Ledger;
use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\StockRefused;

/** Hard reservations: stock, of one lot or of any, that only one order may take. */
final class Reservations
{
    /**
     * What is kept for orders is still there. Asked after stock was taken, on locked balances.
     *
     * @throws StockRefused naming the orders
     */
    public static function assertKept(Ledger $ledger, Item $item): void
    {
        $rows = DB::table('reservations AS r')
            ->join('orders AS o', 'o.id', 'r.order_id')
            ->where('r.item_id', $item->id)
            ->where('r.quantity', '>', 0)
            ->get(['r.lot_id', 'r.quantity', 'o.number']);
        if ($rows->isEmpty()) {
            return;
        }
        $sum = fn (BigDecimal $sum, \stdClass $row): BigDecimal => $sum->plus($row->quantity);
        $there = $ledger->stock->quantity($item->id)->minus($ledger->stock->promised($item->id));
        $numbers = fn ($of): array => array_values($of->pluck('number')->unique()->all());
        if ($rows->reduce($sum, BigDecimal::zero())->isGreaterThan($there)) {
            throw StockRefused::kept($item->label(), $numbers($rows));
        }
        foreach ($rows->where('lot_id', '<>', 0)->groupBy('lot_id') as $lot => $of) {
            if ($of->reduce($sum, BigDecimal::zero())->isGreaterThan($ledger->stock->quantity($item->id, (int) $lot))) {
                throw StockRefused::kept($item->label(), $numbers($of));
            }
        }
    }

    /** Adds to (or takes from) what is kept, with its entry. */
    public static function change(Ledger $ledger, int $order, int $item, int $lot, BigDecimal $quantity): void
    {
        DB::table('reservations')->insertOrIgnore(['order_id' => $order, 'item_id' => $item, 'lot_id' => $lot]);
        $row = DB::table('reservations')
            ->where('order_id', $order)
            ->where('item_id', $item)
            ->where('lot_id', $lot)
            ->first();
        if ($row === null || BigDecimal::of($row->quantity)->plus($quantity)->isNegative()) {
            throw new \LogicException('A reservation would fall below zero.');
        }
        DB::table('reservations')
            ->where('id', $row->id)
            ->update(['quantity' => DB::raw("quantity + {$quantity}")]);
        DB::table('reservation_entries')->insert([
            'booking_id' => $ledger->booking->id,
            'reservation_id' => $row->id,
            'quantity' => (string) $quantity,
        ]);
    }
}
