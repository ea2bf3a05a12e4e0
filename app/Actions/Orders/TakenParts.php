<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Shop\Positions;
use App\Shop\ShopState;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Need;

/**
 * Parts of a sub-assembly go into an order instead of it: as a person says, or where it is not there and its item says
 * so. What was to be made of it for the order is made no more.
 */
final readonly class TakenParts
{
    /** Levels of sub-assemblies looked into. */
    private const DEEP = 12;

    public function __construct(private PartOrders $partOrders)
    {
    }

    /**
     * @param  OrderComponent  $of  a component of the order
     * @param  BigDecimal  $amount  of it, in its stock unit
     * @return string "For 2 pc SUB-P Sub-assembly order 1004 takes their parts: 8 pc NUT-P Nut."
     *
     * @throws Refused when so many are not open, or it is made of nothing
     */
    public function take(Ledger $ledger, Order $order, OrderComponent $of, BigDecimal $amount): string
    {
        if ($amount->isGreaterThan($of->openQuantity())) {
            throw OrderRefused::notSoManyTaken($amount, $of->openQuantity());
        }
        $needs = self::needs($of->item, $amount);
        if ($needs === []) {
            throw OrderRefused::madeOfNothing($of->item->label());
        }
        $parts = new OrderParts($ledger, $order);
        $parts->set($of, BigDecimal::of($of->planned_quantity)->minus($amount));
        $taken = array_map(fn (Need $need): string => self::takes($parts, $of, $need), $needs);

        return 'For '.Amount::plain($amount)." {$of->item->unit->code} {$of->item->label()} order {$order->number} "
            .'takes their parts: '.implode(', ', $taken).'.'
            .$this->partOrders->less($ledger, $of);
    }

    /**
     * Of what will be short when every open need of it is met, where its item says so: as an order is made.
     *
     * @return list<string> what is taken
     */
    public function ofNew(Ledger $ledger, Order $order): array
    {
        return $this->deep($ledger, $order, fn (OrderComponent $component): BigDecimal => BigDecimal::min(
            Positions::of($component->item_id)->missing(),
            $component->openQuantity(),
        ));
    }

    /**
     * Of what neither stock nor anything ordered gives it by rank, where its item says so: as an order is released.
     *
     * @return list<string> what is taken
     */
    public function ofReleased(Ledger $ledger, Order $order): array
    {
        return $this->deep($ledger, $order, fn (OrderComponent $component): BigDecimal => BigDecimal::min(
            ShopState::now()->part($order->id, $component->id)->missing ?? BigDecimal::zero(),
            $component->openQuantity(),
        ));
    }

    /**
     * What goes in may be missing itself, and be set so too.
     *
     * @param  callable(OrderComponent): BigDecimal  $missing
     * @return list<string>
     */
    private function deep(Ledger $ledger, Order $order, callable $missing): array
    {
        $said = [];
        $seen = [];
        for ($level = 0; $level < self::DEEP; $level++) {
            $new = $order->components()
                ->with('item.unit', 'item.units.unit')
                ->whereRelation('item', 'is_parts_if_missing', true)
                ->where('supplied_by', 'us')
                ->whereKeyNot($seen)
                ->get();
            foreach ($new as $component) {
                $seen[] = $component->id;
                $amount = $missing($component);
                if ($amount->isPositive() && self::needs($component->item, $amount) !== []) {
                    $said[] = $this->take($ledger, $order, $component, $amount);
                }
            }
            if ($new->isEmpty()) {
                break;
            }
        }

        return $said;
    }

    /** @return list<Need> */
    private static function needs(Item $item, BigDecimal $amount): array
    {
        $masters = Masters::today();

        return $masters->exploded($item, $masters->structure($item), $amount)->needs;
    }

    /** "4 pc BRG-25 Bearing" */
    private static function takes(OrderParts $parts, OrderComponent $of, Need $need): string
    {
        $item = Item::query()->with('unit')->findOrFail((int) $need->line->item);
        $amount = Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount;
        $parts->putPart($of, $item, $amount);

        return Amount::plain($amount)." {$item->unit->code} {$item->label()}";
    }
}
