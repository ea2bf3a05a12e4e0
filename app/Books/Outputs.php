<?php

namespace App\Books;

use App\Models\Item;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\OutputKind;

/** What orders give: received by moves, and what of it will not come any more. */
final readonly class Outputs
{
    /** What of an output says how much of it comes, and what that carries. */
    private const COPIED = [
        'kind',
        'item_id',
        'basis',
        'ratio_p',
        'ratio_q',
        'share_rule',
        'share',
        'unit_value',
        'source_line_id',
    ];

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * It counts its pieces in its first output; what comes back of it stands behind.
     *
     * @param  list<array<string, mixed>>  $beside  columns of outputs
     */
    public function begin(Order $order, array $beside = []): void
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
        foreach ($beside as $row) {
            self::add($order, $row);
        }
        $this->ledger->touch($order);
    }

    /** @return list<array<string, mixed>> what comes back of an order, for a part of it that goes its own way */
    public static function like(Order $order): array
    {
        return array_values(
            $order->beside()->get()->map(fn (OrderOutput $output): array => $output->only(self::COPIED))->all(),
        );
    }

    /**
     * What comes back of it is another thing now: what does not, is not planned any more.
     *
     * @param  list<array<string, mixed>>  $beside  columns of outputs
     */
    public function follow(Order $order, array $beside): void
    {
        $old = $order->beside()->get();
        foreach ($beside as $row) {
            $new = new OrderOutput($row);
            $same = $old->first(
                fn (OrderOutput $one): bool => $one->item_id === $new->item_id && $one->basis === $new->basis,
            );
            $same === null ? self::add($order, $row) : $same->fill($row)->save();
            $old = $old->except($same === null ? [] : [$same->id]);
        }
        foreach ($old as $gone) {
            // a tie may name it: it stays, and gives nothing
            $gone->fill(['ratio_p' => '0', 'baseline_quantity' => '0', 'source_line_id' => null])->save();
        }
        $this->ledger->touch($order);
    }

    /** @param  array<string, mixed>  $row */
    private static function add(Order $order, array $row): void
    {
        $output = new OrderOutput([
            'order_id' => $order->id,
            'position' => OrderOutput::query()->where('order_id', $order->id)->count() + 1,
            ...$row,
        ]);
        $output->setRelation('item', Item::query()->with('unit')->findOrFail($output->item_id));
        $planned = (string) $output->comesWith(BigDecimal::of($order->quantity));
        $output->fill(['baseline_quantity' => $planned, 'planned_quantity' => $planned])->save();
    }

    /**
     * Some of an output came into stock, or went back.
     *
     * @param  BigDecimal  $quantity  below zero: went back
     * @param  int  $value  cents
     */
    public function received(Order $order, OrderOutput $output, BigDecimal $quantity, int $value): void
    {
        // added in SQL: the check of the column refuses what would fall below zero
        OrderOutput::query()->whereKey($output->id)->update([
            'received_quantity' => DB::raw("received_quantity + {$quantity}"),
            'received_value' => DB::raw("received_value + {$value}"),
        ]);
        $output->received_quantity = (string) $output->received()->plus($quantity);
        $output->received_value += $value;
        $output->syncOriginal();
        $this->ledger->touch($order);
    }

    /**
     * An order's product is planned as the order is, and gives up what scrap took and what an order that has ended
     * still had to give. What comes back goes with the pieces.
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
            foreach ($fact->beside as $output) {
                $planned = $output->comesWith(BigDecimal::of($fact->order->quantity));
                $comes = $output->received()->plus($fact->willComeOf($output));
                $output->fill([
                    'planned_quantity' => (string) $planned,
                    'given_up_quantity' => (string) BigDecimal::max(0, $planned->minus($comes)),
                ])->isDirty() && $output->save();
            }
        }
    }
}
