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
            $parts = new OrderParts($ledger, $order);
            $parts->set($of, BigDecimal::of($of->planned_quantity)->minus($amount));
            $taken = array_map(fn (Need $need): string => self::takes($parts, $of, $need), $needs);

            return 'For '.Amount::plain($amount)." {$of->item->unit->code} {$of->item->label()} order {$order->number} "
                .'takes their parts: '.implode(', ', $taken).'.';
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

    /** "4 pc BRG-25 Bearing" */
    private static function takes(OrderParts $parts, OrderComponent $of, Need $need): string
    {
        $item = Item::query()->with('unit')->findOrFail((int) $need->line->item);
        $amount = Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount;
        $parts->putFor($of, $item, $amount, asItsPart: true);

        return Amount::plain($amount)." {$item->unit->code} {$item->label()}";
    }
}
