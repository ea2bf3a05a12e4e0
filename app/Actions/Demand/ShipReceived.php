<?php

namespace App\Actions\Demand;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;

/**
 * A part of a deed: what an order gave by it goes straight on to the customer lines it is made for, in the very lots
 * and serials that came.
 */
final class ShipReceived
{
    public function __construct(private readonly ShipLines $ship)
    {
    }

    public function part(int $orderId): Part
    {
        return new Part(
            fn (): Needs => $this->needs($orderId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $held->order($orderId)),
        );
    }

    private function needs(int $orderId): Needs
    {
        $lines = self::lines($orderId);
        $customerOrder = $lines->first()?->customer_order_id;

        return $customerOrder === null
            ? Needs::nothing()
            : $this->ship->needs($customerOrder, array_values($lines->modelKeys()));
    }

    /**
     * What was promised from stock by receiving it goes to whom it was promised.
     *
     * @throws Refused
     */
    private function write(Ledger $ledger, Held $held, Order $order): void
    {
        $came = array_values(array_filter(
            $ledger->moves->came(),
            fn (array $one): bool => $one['key']->item === $order->item_id,
        ));
        $lines = [];
        foreach ($ledger->booking->tieEntries()->with('tie.line')->get() as $entry) {
            $line = $entry->tie->isFromStock() && $entry->tie->item_id === $order->item_id ? $entry->tie->line : null;
            if ($line !== null && $entry->amount()->isPositive()) {
                $lines[$line->customer_order_id][$line->id] = [
                    'quantity' => (string) $entry->amount(),
                    'lot' => 0,
                    'lots' => self::lots($came, $entry->amount()),
                ];
            }
        }
        if (count($lines) !== 1) {
            throw CoverRefused::notForOne($order->number, count($lines));
        }
        $this->ship->write($ledger, $held, array_key_first($lines), current($lines));
    }

    /**
     * So much of what came, lot by lot; it is taken off.
     *
     * @param  list<array{key: StockKey, quantity: BigDecimal}>  $came
     * @return list<int>
     */
    private static function lots(array &$came, BigDecimal $wanted): array
    {
        $lots = [];
        foreach ($came as $at => $one) {
            $take = BigDecimal::min($wanted, $one['quantity']);
            if ($take->isPositive()) {
                $came[$at]['quantity'] = $one['quantity']->minus($take);
                $wanted = $wanted->minus($take);
                $lots[] = $one['key']->lot;
            }
        }

        return array_values(array_unique($lots));
    }

    /** @return Collection<int, CustomerOrderLine> lines the order is made for */
    private static function lines(int $orderId): Collection
    {
        $covers = Tie::query()
            ->whereRelation('output', 'order_id', $orderId)
            ->whereNotNull('line_id')
            ->where('quantity', '>', 0);

        return CustomerOrderLine::query()->whereKey($covers->pluck('line_id'))->orderBy('id')->get();
    }
}
