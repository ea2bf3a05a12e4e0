<?php

namespace App\Actions\Usage;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\Tie;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\Shelf;
use KeepPace\Core\Stock\StockRefused;

/** The shelves a deed takes from, as they are under its locks and after each of its lines. */
final class FreeStock
{
    /** @var array<int, BigDecimal> promised to customer lines, by item */
    private readonly array $promised;

    /** @var array<int, array{string, string|null}> code and last good day, by lot */
    private array $lots = [];

    /** @var array<int, list<KeptFor>> by item */
    private array $kept;

    /**
     * Read after the balances are locked.
     *
     * @param  Collection<int, Item>  $items
     */
    public function __construct(private readonly Ledger $ledger, Collection $items)
    {
        $ids = $items->keys()->all();
        $this->promised = Shelves::promisedOf($ids);
        $this->kept = Shelves::keptOf($ids);
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
    }

    /** @param  int  $owner  a customer, whose own material it is; 0 = us */
    public function shelf(Item $item, int $owner): Shelf
    {
        $lots = [];
        foreach ($this->ledger->stock->onHand($item->id, owner: $owner) as ['key' => $key, 'quantity' => $there]) {
            [$code, $expires] = $this->lots[$key->lot] ?? ['', null];
            $lots[] = new LotThere($key, $there, $code, $expires);
        }

        return Shelf::of(
            $item->label(),
            $lots,
            $owner,
            $this->promised[$item->id] ?? null,
            $this->kept[$item->id] ?? [],
        );
    }

    /**
     * The named lot, wherever it lies.
     *
     * @return non-empty-list<LotThere>
     *
     * @throws StockRefused when it is not a lot of the item, not free, used up, kept for another order, or past its
     *     days
     */
    public function named(
        Item $item,
        Shelf $shelf,
        string $code,
        int $order,
        int $owner,
        BigDecimal $asked,
        string $day,
    ): array {
        $lots = $shelf->named($code, $order, $asked, $day, $item->minimum_days);

        return $lots === [] ? throw $this->whyNot($item, $code, $owner) : $lots;
    }

    /** What the order had reserved for itself is used first. */
    public function taken(int $order, int $item, BigDecimal $quantity): void
    {
        $left = [];
        foreach ($this->kept[$item] ?? [] as $one) {
            $part = $one->order === $order ? BigDecimal::min($quantity, $one->quantity) : BigDecimal::zero();
            $quantity = $quantity->minus($part);
            $part->isZero() ?: $this->ledger->kept->less(Tie::query()->findOrFail($one->id), $part);
            $left[] = $one->less($part);
        }
        $this->kept[$item] = $left;
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
