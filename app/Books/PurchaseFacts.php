<?php

namespace App\Books;

use App\Models\PurchaseOrder;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;

/** The state of purchase orders, derived from their lines at the end of a deed that touched them. */
final class PurchaseFacts
{
    /** @param  array<int, PurchaseOrder>  $orders  by id */
    public static function derive(array $orders): void
    {
        $lines = DB::table('purchase_lines')
            ->whereIn('purchase_order_id', array_keys($orders))
            ->groupBy('purchase_order_id')
            ->selectRaw('purchase_order_id, MAX(quantity > received_quantity + cancelled_quantity) AS is_open, '
                .'MAX(received_quantity > 0) AS has_come');
        $facts = $orders === []
            ? collect()
            : Row::all($lines, fn (Row $row): Row => $row)->keyBy(fn (Row $row): int => $row->int('purchase_order_id'));
        foreach ($orders as $id => $order) {
            $order->state = PurchaseState::derived(
                $order->sent_on !== null,
                $order->confirmed_on !== null,
                $facts->get($id)?->flag('is_open') ?? false,
                $facts->get($id)?->flag('has_come') ?? false,
            );
            $order->version++;
            $order->save();
        }
    }
}
