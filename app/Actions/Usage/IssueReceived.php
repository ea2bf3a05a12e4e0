<?php

namespace App\Actions\Usage;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Models\Lot;
use App\Models\OrderComponent;
use App\Models\Tie;
use App\Shop\Waiting;
use Brick\Math\BigDecimal;
use Closure;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;

/**
 * A part of a deed: what came in by it goes straight on to the orders that wait for it, those it was meant for first,
 * then by rank; lots and serials go along. What nobody waits for stays in stock.
 */
final class IssueReceived
{
    public function __construct(private readonly IssueComponents $issue)
    {
    }

    /**
     * @param  Closure(): list<int>  $items  that come
     * @param  bool  $mustGoOn  refused where nobody waits; else what came stays
     */
    public function part(Closure $items, bool $mustGoOn): Part
    {
        return new Part(
            fn (): Needs => self::needs($items()),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $mustGoOn),
        );
    }

    /** @param  list<int>  $items */
    private static function needs(array $items): Needs
    {
        return Needs::items($items)->and(Needs::orders(Waiting::ordersFor($items)));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, bool $mustGoOn): void
    {
        $lines = self::lines($ledger, $held);
        if ($lines === [] && $mustGoOn) {
            throw OrderRefused::nobodyWaitsFor();
        }
        $lines === [] ?: $this->issue->write($ledger, $held, $lines, false, '');
    }

    /** @return list<UseLine> */
    private static function lines(Ledger $ledger, Held $held): array
    {
        $came = $ledger->moves->came();
        $lots = array_map(fn (array $one): int => $one['key']->lot, $came);
        $codes = Lot::query()->whereKey($lots)->pluck('code', 'id')->all();
        $items = array_values(array_unique(array_map(fn (array $one): int => $one['key']->item, $came)));
        $ids = Waiting::components($items);
        $waiting = OrderComponent::query()->with('item.unit')->findMany($ids)->keyBy('id');
        $free = self::free($ledger, $items);
        $lines = [];
        foreach ($ids as $id) {
            $component = $waiting->get($id);
            if ($component !== null && $held->orders->has($component->order_id)) {
                $most = self::mayHave($component, $free);
                $line = self::line($component, $most, $came, $codes);
                $line === null ?: $lines[] = $line;
            }
        }

        return $lines;
    }

    /**
     * What nobody else counts on: neither promised to a customer line nor kept for an order.
     *
     * @param  list<int>  $items
     * @return array<int, BigDecimal> by item
     */
    private static function free(Ledger $ledger, array $items): array
    {
        $ledger->stock->readFree($items);
        $free = [];
        foreach ($items as $item) {
            $free[$item] = $ledger->covers->free($item);
        }

        return $free;
    }

    /**
     * What is kept for its order, and of what is free as much as it takes; that is taken off.
     *
     * @param  array<int, BigDecimal>  $free  by item
     */
    private static function mayHave(OrderComponent $component, array &$free): BigDecimal
    {
        $kept = BigDecimal::of((string) Tie::query()
            ->where('component_id', $component->id)
            ->where('supply_kind', SupplyKind::Stock)
            ->sum('quantity'));
        $own = BigDecimal::min($kept, $component->openQuantity());
        $more = BigDecimal::min($component->openQuantity()->minus($own), $free[$component->item_id]);
        $free[$component->item_id] = $free[$component->item_id]->minus($more);

        return $own->plus($more);
    }

    /**
     * As much of what came as it still takes.
     *
     * @param  BigDecimal  $wanted  that it may have
     * @param  list<array{key: StockKey, quantity: BigDecimal}>  $came  what is given is taken off
     * @param  array<int, string>  $codes  by lot
     */
    private static function line(
        OrderComponent $component,
        BigDecimal $wanted,
        array &$came,
        array $codes,
    ): ?UseLine {
        $given = BigDecimal::zero();
        $splits = [];
        foreach ($came as $at => $one) {
            $take = $one['key']->item === $component->item_id
                ? BigDecimal::min($wanted, $one['quantity'])
                : BigDecimal::zero();
            if ($take->isPositive()) {
                $came[$at]['quantity'] = $one['quantity']->minus($take);
                $wanted = $wanted->minus($take);
                $given = $given->plus($take);
                $splits[] = [
                    'code' => $codes[$one['key']->lot] ?? '',
                    'place' => $one['key']->place,
                    'quantity' => Amount::plain($take),
                ];
            }
        }

        return $given->isZero() ? null : new UseLine(
            (string) $component->id,
            $component->order_id,
            $component->id,
            $component->item_id,
            $component->step_number,
            Amount::plain($given),
            null,
            $splits,
        );
    }
}
