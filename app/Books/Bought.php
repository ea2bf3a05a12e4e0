<?php

namespace App\Books;

use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\PurchaseLine;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Quantity\Amount;

/**
 * What is bought for a customer line or a part of an order: nobody else may have it, and what comes of it is kept for
 * them. It is guarded by the lock of the purchase order.
 */
final readonly class Bought
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function forLine(PurchaseLine $purchase, CustomerOrderLine $line, BigDecimal $quantity): void
    {
        $this->tie($purchase, TieDemand::line($line->id), $quantity);
    }

    public function forPart(PurchaseLine $purchase, OrderComponent $component, BigDecimal $quantity): void
    {
        $this->tie($purchase, TieDemand::component($component->id), $quantity);
    }

    /** As much of a new purchase as they want still. */
    public function asWanted(PurchaseLine $purchase, TieDemand $for): void
    {
        $wanted = match ($for->kind) {
            DemandKind::Line => CustomerOrderLine::query()->findOrFail($for->id)->uncovered(),
            DemandKind::Component => OrderComponent::query()->findOrFail($for->id)->untied(),
            DemandKind::Shelf => throw new \LogicException('A shelf is filled by whatever comes.'),
        };
        $share = BigDecimal::min($wanted, $purchase->unpromised());
        $share->isPositive() && $this->tie($purchase, $for, $share);
    }

    /**
     * So many came, free, into a store: they are kept for whom they were bought, who wants them first before others.
     *
     * @return list<string> for whom, in words
     */
    public function came(PurchaseLine $purchase, BigDecimal $quantity): array
    {
        $kept = [];
        foreach ($this->waiting($purchase->id) as $tie) {
            $take = BigDecimal::min($quantity, $tie->left());
            if ($take->isPositive()) {
                $this->ledger->ties->change($tie, $take->negated());
                // an order may have come to need less since it was bought
                $take = BigDecimal::max(0, BigDecimal::min($take, $tie->wanted()));
                $this->fromStock($tie, $take);
                $quantity = $quantity->minus($take);
                $take->isZero() ?: $kept[] = Amount::plain($take)." for {$tie->forWhom()}";
            }
        }

        return $kept;
    }

    /**
     * No more is tied to a purchase than is still to come of it. Who wants it last loses first.
     *
     * @param  list<int>  $purchaseOrders
     */
    public function fit(array $purchaseOrders): void
    {
        $lines = $purchaseOrders === []
            ? new Collection
            : PurchaseLine::query()->whereIn('purchase_order_id', $purchaseOrders)
                ->whereIn('id', self::ties()->select('purchase_line_id'))->get();
        foreach ($lines as $purchase) {
            $left = $purchase->openQuantity();
            foreach ($this->waiting($purchase->id) as $tie) {
                $kept = BigDecimal::min($left, $tie->left());
                $lost = $tie->left()->minus($kept);
                $left = $left->minus($kept);
                if ($lost->isPositive()) {
                    $this->ledger->ties->change($tie, $lost->negated());
                    $this->ledger->says(Amount::plain($lost)." less for {$tie->forWhom()}.");
                }
            }
        }
    }

    /** What was bought for somebody on one line comes on another. */
    public function moveOver(PurchaseLine $from, PurchaseLine $to): void
    {
        $gives = $to->openQuantity();
        foreach ($this->waiting($from->id) as $tie) {
            $over = BigDecimal::min($gives, $tie->left());
            if ($over->isPositive()) {
                $this->ledger->ties->change($tie, $over->negated());
                $this->tie($to, $tie->demand(), $over);
                $gives = $gives->minus($over);
            }
        }
    }

    /** What was bought for an order that ends is for whoever ranks first. */
    public function end(Order $order): void
    {
        $ties = self::ties()->whereIn('component_id', $order->components()->select('id'))->get();
        foreach ($ties as $tie) {
            $this->ledger->ties->change($tie, $tie->left()->negated());
        }
    }

    /**
     * What a booking did to it is taken back, as far as so much is still to come and still wanted.
     *
     * @param  BigDecimal  $changed  what the booking had done to it
     */
    public function back(Tie $tie, BigDecimal $changed): void
    {
        $back = $changed->negated();
        if ($back->isPositive()) {
            $purchase = PurchaseLine::query()->findOrFail($tie->purchase_line_id);
            $back = BigDecimal::max(0, BigDecimal::min($back, $purchase->unpromised(), $tie->wanted()));
        }
        $back = BigDecimal::max($back, $tie->left()->negated());
        $back->isZero() ?: $this->ledger->ties->change($tie, $back);
    }

    private function tie(PurchaseLine $purchase, TieDemand $for, BigDecimal $quantity): void
    {
        $this->ledger->ties->add($for, TieSupply::purchase($purchase->id), true, $purchase->item_id, $quantity);
    }

    /** Who was to get it gets so much of stock. */
    public function fromStock(Tie $tie, BigDecimal $quantity): void
    {
        match (true) {
            $tie->line !== null => $this->ledger->covers->add($tie->line, null, $quantity),
            $tie->component !== null => $this->ledger->kept->keep($tie->component, 0, $quantity),
            default => throw new \LogicException('It is for nobody.'),
        };
    }

    /** @return list<Tie> who wants it first comes first */
    private function waiting(int $purchaseLine): array
    {
        $ties = self::ties()
            ->with('line.customerOrder', 'component.order')
            ->where('purchase_line_id', $purchaseLine)
            ->get();

        return array_values($ties->sortBy(fn (Tie $tie): array => [$tie->wantedOn(), $tie->id])->all());
    }

    /** @return Builder<Tie> */
    private static function ties(): Builder
    {
        return Tie::query()->where('supply_kind', SupplyKind::Purchase)->where('quantity', '>', 0);
    }
}
