<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Need;

/**
 * Of so many of a sub-assembly an order takes the parts instead: they are put in here, at the step it is used at. The
 * rest of it is issued as it is, or made by its own order.
 */
final class PartsInstead
{
    public function __construct(private readonly OrderChange $change)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  string  $quantity  of the sub-assembly, in its stock unit
     *
     * @throws Refused when so many are not open, or it is made of nothing
     */
    public function handle(int $componentId, int $version, string $quantity, Signed $signed): Booking
    {
        $orderId = OrderComponent::query()->findOrFail($componentId)->order_id;

        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $componentId,
            $quantity,
        ): string {
            $of = OrderComponent::query()->with('item.unit', 'item.units.unit')->findOrFail($componentId);
            $amount = $of->item->quantity($quantity)->amount;
            if ($amount->isGreaterThan($of->openQuantity())) {
                throw OrderRefused::notSoManyTaken($amount, $of->openQuantity());
            }
            $needs = self::needs($of->item, $amount);
            self::less($ledger, $order, $of, $amount);
            $parts = array_map(fn (Need $need): string => self::takes($ledger, $order, $of, $need), $needs);

            return 'For '.Amount::plain($amount)." {$of->item->unit->code} {$of->item->label()} order {$order->number} "
                .'takes their parts: '.implode(', ', $parts).'.';
        });
    }

    /**
     * @return list<Need>
     *
     * @throws OrderRefused
     */
    private static function needs(Item $item, BigDecimal $amount): array
    {
        $masters = Masters::today();
        $needs = $masters->exploded($item, $masters->structure($item), $amount)->needs;

        return $needs === [] ? throw OrderRefused::madeOfNothing($item->label()) : $needs;
    }

    private static function less(Ledger $ledger, Order $order, OrderComponent $of, BigDecimal $amount): void
    {
        $is = BigDecimal::of($of->planned_quantity)->minus($amount);
        $what = "component {$of->item->number}";
        $ledger->change($order, $what, Amount::plain($of->planned_quantity), Amount::plain($is));
        $of->planned_quantity = (string) $is;
        $of->save();
    }

    /** "4 pc BRG-25 Bearing" */
    private static function takes(Ledger $ledger, Order $order, OrderComponent $of, Need $need): string
    {
        $item = Item::query()->with('unit')->findOrFail((int) $need->line->item);
        $amount = Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount;
        $order->components()->create([
            'position' => ($order->components()->max('position') ?? 0) + 10,
            'item_id' => $item->id,
            'step_number' => $of->step_number,
            'baseline_quantity' => '0',
            'planned_quantity' => (string) $amount,
            'issue_by' => $of->issue_by,
            'phantom_item_id' => $of->item_id,
        ]);
        $ledger->change($order, "component {$item->number}, for {$of->item->number}", '', Amount::plain($amount));

        return Amount::plain($amount)." {$item->unit->code} {$item->label()}";
    }
}
