<?php

namespace App\Books;

use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Reading\Row;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\StockRefused;

/** Stock that is kept hard for orders, of one lot or of any: only the order may take it. */
final class Kept implements Book
{
    /** @var list<array{booking_id: int, reservation_id: int, quantity: string}> to be written at the end */
    private array $entries = [];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /** Adds to (or takes from) what is kept. */
    public function change(int $order, int $item, int $lot, BigDecimal $quantity): void
    {
        $of = ['order_id' => $order, 'item_id' => $item, 'lot_id' => $lot];
        DB::table('reservations')->insertOrIgnore($of);
        $there = Row::first(DB::table('reservations')->where($of), fn (Row $row): Row => $row);
        if ($there === null || $there->decimal('quantity')->plus($quantity)->isNegative()) {
            throw new \LogicException('A reservation would fall below zero.');
        }
        $this->enter($there->int('id'), $quantity);
    }

    /** The order took some of what was kept for it. */
    public function taken(int $reservation, BigDecimal $quantity): void
    {
        $this->enter($reservation, $quantity->negated());
    }

    /** What is no longer made keeps nothing. */
    public function end(Order $order): void
    {
        $kept = DB::table('reservations')->where('order_id', $order->id)->where('quantity', '>', 0);
        foreach (Row::all($kept, fn (Row $row): Row => $row) as $row) {
            $this->enter($row->int('id'), $row->decimal('quantity')->negated());
        }
    }

    /** What is kept of an item for whichever order, of one lot or of any. */
    public function sum(int $item): BigDecimal
    {
        $kept = Shelves::keptOf([$item])[$item] ?? [];

        return BigDecimal::sum(0, ...array_column($kept, 'quantity'));
    }

    /**
     * What is kept for orders is still there. Asked after stock was taken, on locked balances.
     *
     * @throws StockRefused naming the orders
     */
    public function assertThere(Item $item): void
    {
        $kept = Shelves::keptOf([$item->id])[$item->id] ?? [];
        if ($kept === []) {
            return;
        }
        $stock = $this->ledger->stock;
        self::assertEnough($item, $kept, $stock->quantity($item->id)->minus($stock->promised($item->id)));
        foreach (array_unique(array_column($kept, 'lot')) as $lot) {
            $of = array_values(array_filter($kept, fn (KeptFor $one): bool => $one->lot === $lot));
            $lot === 0 ?: self::assertEnough($item, $of, $stock->quantity($item->id, $lot));
        }
    }

    public function locks(Undone $undone): Needs
    {
        $of = DB::table('reservations')->whereIn('id', self::of($undone)->pluck('r.id'));

        return Needs::orders($of->pluck('order_id'))->and(Needs::items($of->pluck('item_id')));
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    /** What the order had kept for itself is kept again, as far as it is there. */
    public function reverse(Undone $undone): void
    {
        $before = $this->linesBefore($undone);
        foreach (Row::all(self::of($undone), KeptEntry::from(...)) as $entry) {
            $back = $entry->quantity->negated()->minus($before[$entry->reservation] ?? 0);
            if (! $undone->isWhole) {
                $back = BigDecimal::min($back, $entry->movedIn($undone->moves));
            }
            if ($back->isPositive()) {
                $stock = $this->ledger->stock;
                $there = BigDecimal::min(
                    $stock->quantity($entry->item, $entry->lot)->minus($this->keptOf($entry)),
                    $stock->unpromised($entry->item)->minus($this->sum($entry->item)),
                );
                $back = BigDecimal::max(0, BigDecimal::min($back, $there));
            } else {
                // no more than is left of it
                $back = BigDecimal::max($back, BigDecimal::of($entry->left)->negated());
            }
            $back->isZero() ?: $this->enter($entry->reservation, $back);
        }
    }

    public function flush(): void
    {
        DB::table('reservation_entries')->insert($this->entries);
        $this->entries = [];
    }

    private function enter(int $reservation, BigDecimal $quantity): void
    {
        DB::table('reservations')->where('id', $reservation)->update(['quantity' => DB::raw("quantity + {$quantity}")]);
        $this->entries[] = [
            'booking_id' => $this->ledger->booking->id,
            'reservation_id' => $reservation,
            'quantity' => (string) $quantity,
        ];
    }

    /** What is kept of an item, or of one lot of it, for whichever order. */
    private function keptOf(KeptEntry $entry): BigDecimal
    {
        return Row::sum(DB::table('reservations')
            ->where('item_id', $entry->item)
            ->where('quantity', '>', 0)
            ->when($entry->lot !== 0, fn (Builder $query) => $query->where('lot_id', $entry->lot)), 'quantity');
    }

    /**
     * What lines reversed one by one gave back before.
     *
     * @return array<int, BigDecimal> by reservation
     */
    private function linesBefore(Undone $undone): array
    {
        $bookings = Move::query()
            ->whereIn('reverses_id', Move::query()->where('booking_id', $undone->booking->id)->select('id'))
            ->pluck('booking_id');
        $sums = DB::table('reservation_entries')
            ->whereIn('booking_id', $bookings)
            ->groupBy('reservation_id')
            ->selectRaw('reservation_id, SUM(quantity) AS quantity');
        $before = [];
        foreach (Row::all($sums, fn (Row $row): Row => $row) as $row) {
            $before[$row->int('reservation_id')] = $row->decimal('quantity');
        }

        return $before;
    }

    private static function of(Undone $undone): Builder
    {
        return DB::table('reservation_entries AS e')
            ->join('reservations AS r', 'r.id', 'e.reservation_id')
            ->where('e.booking_id', $undone->booking->id)
            ->when(! $undone->isWhole, fn (Builder $query) => $query
                ->whereIn('r.order_id', $undone->moves->pluck('order_id'))
                ->whereIn('r.item_id', $undone->moves->pluck('item_id')))
            ->orderBy('r.id')
            ->select(['r.id', 'r.order_id', 'r.item_id', 'r.lot_id', 'r.quantity AS left', 'e.quantity']);
    }

    /**
     * @param  list<KeptFor>  $kept
     *
     * @throws StockRefused naming the orders
     */
    private static function assertEnough(Item $item, array $kept, BigDecimal $there): void
    {
        if (BigDecimal::sum(0, ...array_column($kept, 'quantity'))->isGreaterThan($there)) {
            throw StockRefused::kept($item->label(), array_values(array_unique(array_column($kept, 'number'))));
        }
    }
}
