<?php

namespace App\Actions\Stock;

use App\Books\Ledger;
use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
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
        $kept = KeptStock::of([$item->id])->first();
        if ($kept === null) {
            return;
        }
        $there = $ledger->stock->quantity($item->id)->minus($ledger->stock->promised($item->id));
        self::assertThere($item, $kept, $there);
        foreach ($kept->filter(fn (KeptStock $one): bool => $one->isOfLot())->groupBy('lotId') as $lot => $of) {
            self::assertThere($item, $of, $ledger->stock->quantity($item->id, (int) $lot));
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

    /**
     * @param  Collection<int, KeptStock>  $kept
     *
     * @throws StockRefused naming the orders
     */
    private static function assertThere(Item $item, Collection $kept, BigDecimal $there): void
    {
        if (BigDecimal::sum(0, ...$kept->pluck('quantity')->all())->isGreaterThan($there)) {
            throw StockRefused::kept($item->label(), array_values($kept->pluck('order')->unique()->all()));
        }
    }
}
