<?php

namespace App\Actions\Usage;

use App\Books\KeptStock;
use App\Books\Ledger;
use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection as Items;
use Illuminate\Support\Collection;
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

    /** @var array<int, array{string, string|null}> code and last good day, by lot */
    private array $lots = [];

    /** @var Collection<int, Collection<int, KeptStock>> by item */
    private readonly Collection $kept;

    /**
     * Read after the balances are locked.
     *
     * @param  Items<int, Item>  $items
     */
    public function __construct(private readonly Ledger $ledger, Items $items)
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
        foreach (DB::table('lots')->whereIn('id', array_unique($lots))->get(['id', 'code', 'expires_on']) as $lot) {
            $this->lots[$lot->id] = [$lot->code, $lot->expires_on];
        }
        $this->kept = KeptStock::of($ids);
    }

    /**
     * Lots in stores less what of each is kept for other orders, oldest first.
     *
     * @return list<LotThere>
     */
    public function lots(Item $item, int $order, int $owner): array
    {
        $kept = [];
        foreach ($this->others($item->id, $order)->filter(fn (KeptStock $one): bool => $one->isOfLot()) as $one) {
            $kept[$one->lotId] = ($kept[$one->lotId] ?? BigDecimal::zero())->plus($one->quantity);
        }
        $lots = [];
        foreach ($this->ledger->stock->onHand($item->id, owner: $owner) as ['key' => $key, 'quantity' => $there]) {
            if ($owner === 0 && isset($kept[$key->lot])) {
                $hold = BigDecimal::min($there, $kept[$key->lot]);
                $kept[$key->lot] = $kept[$key->lot]->minus($hold);
                $there = $there->minus($hold);
            }
            [$code, $expires] = $this->lots[$key->lot] ?? ['', null];
            $lots[] = new LotThere($key, $there, $code, $expires);
        }

        return $lots;
    }

    /** @return list<int> lots kept for the order */
    public function kept(int $order, int $item): array
    {
        $own = $this->ofItem($item)->filter(fn (KeptStock $one): bool => $one->orderId === $order && $one->isOfLot());

        return array_values($own->map(fn (KeptStock $one): int => $one->lotId)->all());
    }

    /** All that is there less promises and what is kept for others. */
    public function of(int $item, int $order, int $owner): BigDecimal
    {
        if ($owner !== 0) {
            return $this->there($item, $owner);
        }
        $left = $this->there($item, 0)->minus($this->promised[$item] ?? 0);
        foreach ($this->others($item, $order) as $one) {
            $left = $left->minus($one->quantity);
        }

        return $left;
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
        if (isset($this->kept[$item->id]) && $asked->isGreaterThan($free = $this->of($item->id, $order, $owner))) {
            throw StockRefused::reserved(
                $item->label(),
                $asked,
                $free->isNegative() ? BigDecimal::zero() : $free,
                self::orders($this->others($item->id, $order)),
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
        $lot = $mine[0]->key->lot;
        $keepers = self::orders(
            $this->others($item->id, $order)->filter(fn (KeptStock $one): bool => $one->lotId === $lot),
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
        foreach ($this->ofItem($item) as $one) {
            if ($one->orderId === $order && $quantity->isPositive()) {
                $part = BigDecimal::min($quantity, $one->quantity);
                $quantity = $quantity->minus($part);
                $this->ledger->kept->taken($one, $part);
            }
        }
    }

    /** @return Collection<int, KeptStock> */
    private function ofItem(int $item): Collection
    {
        return $this->kept[$item] ?? collect();
    }

    /** @return Collection<int, KeptStock> of other orders than this */
    private function others(int $item, int $order): Collection
    {
        return $this->ofItem($item)
            ->filter(fn (KeptStock $one): bool => $one->orderId !== $order && $one->quantity->isPositive());
    }

    /**
     * @param  Collection<int, KeptStock>  $kept
     * @return list<string> for which it is kept
     */
    private static function orders(Collection $kept): array
    {
        return array_values($kept->map(fn (KeptStock $one): string => $one->order)->unique()->all());
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

        return StockRefused::usedUp($lot->code, self::lastOf((int) $lot->id));
    }

    /** What was done with a lot last. */
    private static function lastOf(int $lot): string
    {
        $last = DB::table('moves AS m')
            ->join('bookings AS b', 'b.id', 'm.booking_id')
            ->join('booking_says AS s', 's.booking_id', 'b.id')
            ->where('m.lot_id', $lot)
            ->orderByDesc('m.id')
            ->first(['s.says', 'b.booked_on']);

        return $last === null ? 'it never came in' : rtrim("{$last->says}", '.')." on {$last->booked_on}";
    }
}
