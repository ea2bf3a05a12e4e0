<?php

namespace App\Books;

use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\OutputKind;

/** What orders give: received by moves, and what of it will not come any more. */
final readonly class Outputs
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** It counts its pieces in this, its first output. */
    public function begin(Order $order): void
    {
        OrderOutput::query()->create([
            'order_id' => $order->id,
            'position' => OrderOutput::PRODUCT,
            'kind' => OutputKind::Product,
            'item_id' => $order->item_id,
            'baseline_quantity' => $order->quantity,
            'planned_quantity' => $order->quantity,
        ]);
        $order->unsetRelation('product');
        $this->ledger->touch($order);
    }

    /**
     * Its product came into stock, or went back.
     *
     * @param  BigDecimal  $quantity  below zero: went back
     * @param  int  $value  cents
     */
    public function received(Order $order, BigDecimal $quantity, int $value): void
    {
        $product = $order->output();
        // added in SQL: the check of the column refuses what would fall below zero
        OrderOutput::query()->whereKey($product->id)->update([
            'received_quantity' => DB::raw("received_quantity + {$quantity}"),
            'received_value' => DB::raw("received_value + {$value}"),
        ]);
        $product->received_quantity = (string) $product->received()->plus($quantity);
        $product->received_value += $value;
        $product->syncOriginal();
        $this->ledger->touch($order);
    }

    /**
     * An order's product is planned as the order is, and gives up what scrap took and what an order that has ended
     * still had to give.
     *
     * @param  array<int, OrderFacts>  $facts  by order
     */
    public function fit(array $facts): void
    {
        foreach ($facts as $fact) {
            $product = $fact->product;
            $givenUp = BigDecimal::of($fact->order->quantity)->minus($fact->willCome())->minus($product->received());
            $is = ['planned_quantity' => $fact->order->quantity, 'given_up_quantity' => (string) $givenUp];
            // a report of good pieces changes neither
            $product->fill($is)->isDirty() && $product->save();
            $fact->order->setRelation('product', $product);
        }
    }
}
