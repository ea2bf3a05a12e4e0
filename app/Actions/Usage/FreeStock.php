<?php

namespace App\Actions\Usage;

use App\Actions\Bookings\Ledger;
use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\StockRefused;

/** What one order may take of locked stock: neither promised to a customer line nor kept for another order. */
final class FreeStock
{
    /** @var array<int, BigDecimal> promised to customer lines, by item */
    private array $promised = [];

    /** @var array<int, \stdClass> lots by id */
    private array $lots = [];

    /** @var array<int, list<\stdClass>> hard reservations by item */
    private array $reserved = [];

    /** @var list<array{booking_id: int, reservation_id: int, quantity: string}> */
    private array $entries = [];

    /**
     * Read after the balances are locked.
     *
     * @param  Collection<int, Item>  $items
     */
    public function __construct(private readonly Ledger $ledger, Collection $items)
    {
        $ids = $items->keys()->all();
        foreach (
            DB::table('covers')
                ->whereIn('item_id', $ids)
                ->where('supply', 'stock')
                ->groupBy('item_id')
                ->selectRaw('item_id, SUM(quantity) AS quantity')
                ->get() as $row
        ) {
            $this->promised[$row->item_id] = BigDecimal::of($row->quantity);
        }
        $tracked = $items->filter(fn (Item $item): bool => $item->isTracked())->keys();
        $lots = [];
        foreach ($tracked as $item) {
            foreach ($this->ledger->stock->onHand($item) as $balance) {
                $lots[] = $balance['key']->lot;
            }
        }
        $this->lots = DB::table('lots')
            ->whereIn('id', array_unique($lots))
            ->get(['id', 'code', 'expires_on'])
            ->keyBy('id')
            ->all();
        foreach (
            DB::table('reservations AS r')
                ->join('orders AS o', 'o.id', 'r.order_id')
                ->whereIn('r.item_id', $ids)
                ->where('r.quantity', '>', 0)
                ->orderBy('r.id')
                ->get(['r.id', 'r.item_id', 'r.lot_id', 'r.order_id', 'r.quantity', 'o.number']) as $row
        ) {
            $this->reserved[$row->item_id][] = $row;
        }
    }

    /**
     * Lots in stores less what of each is kept for other orders, oldest first.
     *
     * @return list<LotThere>
     */
    public function lots(Item $item, int $order, int $owner): array
    {
        $kept = [];
        foreach ($this->others($item->id, $order) as $row) {
            if ($row->lot_id !== 0) {
                $kept[$row->lot_id] = ($kept[$row->lot_id] ?? BigDecimal::zero())->plus($row->quantity);
            }
        }
        $lots = [];
        foreach ($this->ledger->stock->onHand($item->id, owner: $owner) as ['key' => $key, 'quantity' => $there]) {
            if ($owner === 0 && isset($kept[$key->lot])) {
                $hold = BigDecimal::min($there, $kept[$key->lot]);
                $kept[$key->lot] = $kept[$key->lot]->minus($hold);
                $there = $there->minus($hold);
            }
            $lot = $this->lots[$key->lot] ?? null;
            $lots[] = new LotThere($key, $there, $lot->code ?? '', $lot->expires_on ?? null);
        }

        return $lots;
    }

    /** @return list<int> lots kept for the order */
    public function kept(int $order, int $item): array
    {
        return array_values(
            array_map(
                fn (\stdClass $row): int => $row->lot_id,
                array_filter(
                    $this->reserved[$item] ?? [],
                    fn (\stdClass $row): bool => $row->order_id === $order && $row->lot_id !== 0,
                ),
            ),
        );
    }

    /** All that is there less promises and what is kept for others. */
    public function of(int $item, int $order, int $owner): BigDecimal
    {
        return $owner !== 0
            ? $this->there($item, $owner)
            : array_reduce(
                $this->others($item, $order),
                fn (BigDecimal $left, \stdClass $row): BigDecimal => $left->minus($row->quantity),
                $this->there($item, 0)->minus($this->promised[$item] ?? 0),
            );
    }

    /** @throws StockRefused with the numbers */
    public function assertEnough(Item $item, int $order, BigDecimal $asked, int $owner): void
    {
        $there = $this->there($item->id, $owner);
        if ($asked->isGreaterThan($there)) {
            throw StockRefused::notEnough($item->label(), $asked, $there);
        }
        $promised = $this->promised[$item->id] ?? null;
        if ($owner === 0 && $promised !== null && $asked->isGreaterThan($there->minus($promised))) {
            throw StockRefused::promised($item->label(), $asked, $there, $promised);
        }
        if (isset($this->reserved[$item->id]) && $asked->isGreaterThan($free = $this->of($item->id, $order, $owner))) {
            throw StockRefused::reserved(
                $item->label(),
                $asked,
                $free->isNegative() ? BigDecimal::zero() : $free,
                array_values(
                    array_unique(
                        array_map(fn (\stdClass $row): string => $row->number, $this->others($item->id, $order)),
                    ),
                ),
            );
        }
    }

    private function there(int $item, int $owner): BigDecimal
    {
        $there = BigDecimal::zero();
        foreach ($this->ledger->stock->onHand($item, owner: $owner) as $balance) {
            $there = $there->plus($balance['quantity']);
        }

        return $there;
    }

    /**
     * The named lot, wherever it lies.
     *
     * @param  list<LotThere>  $lots
     * @return list<LotThere>
     *
     * @throws StockRefused when it is not a lot of the item, not free, used up, kept for another order, or past its
     *     days
     */
    public function named(
        Item $item,
        array $lots,
        string $code,
        int $order,
        int $owner,
        BigDecimal $asked,
        string $day,
    ): array {
        $mine = array_values(
            array_filter($lots, fn (LotThere $lot): bool => Code::keyOf($lot->code) === Code::keyOf($code)),
        );
        if ($mine === []) {
            throw $this->whyNot($item, $code, $owner);
        }
        if (! $mine[0]->isGoodOn($day, $item->minimum_days)) {
            throw StockRefused::expires($mine[0]->code, (string) $mine[0]->expiresOn, $item->minimum_days);
        }
        $free = array_reduce(
            $mine,
            fn (BigDecimal $sum, LotThere $lot): BigDecimal => $sum->plus($lot->quantity),
            BigDecimal::zero(),
        );
        $keepers = array_values(
            array_unique(
                array_map(
                    fn (\stdClass $row): string => $row->number,
                    array_filter(
                        $this->others($item->id, $order),
                        fn (\stdClass $row): bool => $row->lot_id === $mine[0]->key->lot,
                    ),
                ),
            ),
        );
        if ($keepers !== [] && $asked->isGreaterThan($free)) {
            throw StockRefused::reserved("lot {$mine[0]->code}", $asked, $free, $keepers);
        }
        if ($asked->isGreaterThan($free)) {
            throw StockRefused::notEnough("lot {$mine[0]->code}", $asked, $free);
        }

        return $mine;
    }

    /** What the order had reserved for itself is used first. */
    public function taken(int $order, int $item, BigDecimal $quantity): void
    {
        foreach ($this->reserved[$item] ?? [] as $row) {
            if ($row->order_id === $order && $quantity->isPositive()) {
                $part = BigDecimal::min($quantity, $row->quantity);
                $row->quantity = (string) BigDecimal::of($row->quantity)->minus($part);
                $quantity = $quantity->minus($part);
                $this->entries[] = [
                    'booking_id' => $this->ledger->booking->id,
                    'reservation_id' => $row->id,
                    'quantity' => (string) $part->negated(),
                ];
                DB::table('reservations')
                    ->where('id', $row->id)
                    ->update(['quantity' => DB::raw("quantity - {$part}")]);
            }
        }
    }

    public function write(): void
    {
        DB::table('reservation_entries')->insert($this->entries);
        $this->entries = [];
    }

    /** @return list<\stdClass> */
    private function others(int $item, int $order): array
    {
        return array_values(
            array_filter(
                $this->reserved[$item] ?? [],
                fn (\stdClass $row): bool => $row->order_id !== $order && BigDecimal::of($row->quantity)->isPositive(),
            ),
        );
    }

    private function whyNot(Item $item, string $code, int $owner): StockRefused
    {
        $lot = DB::table('lots')->where('item_id', $item->id)->where('code_key', Code::keyOf($code))->first();
        if ($lot === null) {
            $other = DB::table('lots AS l')
                ->join('items AS i', 'i.id', 'l.item_id')
                ->where('l.code_key', Code::keyOf($code))
                ->first(['i.number', 'i.name']);

            return StockRefused::unknownLot(
                $code,
                $item->label(),
                $other === null ? null : "{$other->number} {$other->name}",
            );
        }
        $held = DB::table('balances')->where('lot_id', $lot->id)->where('quantity', '>', 0)->first();
        if ($held !== null && $held->condition !== Condition::Free->value) {
            return StockRefused::notFree("Lot {$lot->code}", Condition::from($held->condition));
        }
        if ($held !== null && (int) $held->owner_id !== $owner) {
            return StockRefused::unknownLot(
                $code,
                $item->label().($owner === 0 ? ' of our own' : " of the customer's own"),
                null,
            );
        }
        $last = DB::table('moves AS m')
            ->join('bookings AS b', 'b.id', 'm.booking_id')
            ->where('m.lot_id', $lot->id)
            ->orderByDesc('m.id')
            ->first(['b.says', 'b.booked_on']);

        return StockRefused::usedUp(
            $lot->code,
            $last === null ? 'it never came in' : rtrim("{$last->says}", '.')." on {$last->booked_on}",
        );
    }
}
