<?php

namespace App\Books;

use App\Models\Move;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Place;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Stock\PlaceKind;

/** What a booking put into orders and took out of them, in cents. */
final class Costs implements Book
{
    /**
     * To be written at the end, one for each order, kind and step.
     *
     * @var array<string, array{booking_id: int, order_id: int, kind: string, cents: int, order_step_id: int|null}>
     */
    private array $entries = [];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    public function add(Order $order, CostKind $kind, int $cents, ?OrderStep $step = null): void
    {
        $this->enter($order->id, $kind->value, $cents, $step?->id);
    }

    /** Cents that were put into an order, with those of this booking: what it gave is not taken off. */
    public function putInto(Order $order): int
    {
        $out = [CostKind::Receipt->value, CostKind::Variance->value];
        $now = array_filter(
            $this->entries,
            fn (array $row): bool => $row['order_id'] === $order->id && ! in_array($row['kind'], $out, true),
        );
        $booked = Row::first(
            DB::table('cost_entries')
                ->where('order_id', $order->id)
                ->whereNotIn('kind', $out)
                ->selectRaw('COALESCE(SUM(cents), 0) AS cents'),
            fn (Row $row): Row => $row,
        );

        return ($booked?->int('cents') ?? 0) + array_sum(array_column($now, 'cents'));
    }

    public function locks(Undone $undone): Needs
    {
        return $undone->isWhole ? Needs::orders($undone->booking->costEntries->pluck('order_id')) : Needs::nothing();
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    /** Cost is taken back but for what lines reversed one by one took back already; of a line only its goods are. */
    public function reverse(Undone $undone): void
    {
        if (! $undone->isWhole) {
            $this->goodsBack($undone);

            return;
        }
        $before = $this->linesBefore($undone);
        foreach ($undone->booking->costEntries as $entry) {
            $cents = $entry->cents;
            $was = $before[$entry->kind][$entry->order_id] ?? null;
            if ($was !== null) {
                $done = $cents > 0 ? min($cents, $was) : max($cents, $was);
                $before[$entry->kind][$entry->order_id] -= $done;
                $cents -= $done;
            }
            $this->enter($entry->order_id, $entry->kind, -$cents, $entry->order_step_id);
        }
    }

    public function flush(): void
    {
        $entries = array_filter($this->entries, fn (array $row): bool => $row['cents'] !== 0);
        foreach (array_chunk($entries, 500) as $rows) {
            DB::table('cost_entries')->insert($rows);
        }
        $this->entries = [];
    }

    private function enter(int $order, string $kind, int $cents, ?int $step): void
    {
        if ($cents !== 0) {
            $at = "{$order}-{$kind}-".($step ?? 0);
            $this->entries[$at] ??= [
                'booking_id' => $this->ledger->booking->id,
                'order_id' => $order,
                'kind' => $kind,
                'cents' => 0,
                'order_step_id' => $step,
            ];
            $this->entries[$at]['cents'] += $cents;
        }
    }

    private function goodsBack(Undone $undone): void
    {
        foreach (self::intoOrders($undone->moves) as $kind => $sums) {
            foreach ($sums as $order => $cents) {
                $this->enter($order, $kind, -$cents, null);
            }
        }
    }

    /**
     * Goods, in cents by kind and order, that lines reversed one by one took back before.
     *
     * @return array<string, array<int, int>>
     */
    private function linesBefore(Undone $undone): array
    {
        $back = Move::query()
            ->whereIn('reverses_id', Move::query()->where('booking_id', $undone->booking->id)->select('id'))
            ->where('booking_id', '<>', $this->ledger->booking->id)
            ->get();

        return array_map(
            fn (array $sums): array => array_map(fn (int $cents): int => -$cents, $sums),
            self::intoOrders($back),
        );
    }

    /**
     * @param  iterable<Move>  $moves
     * @return array<string, array<int, int>> cents of goods they put into orders, by kind and order; below zero out
     */
    private static function intoOrders(iterable $moves): array
    {
        $place = Place::end(PlaceKind::Order)->id;
        $sums = [];
        foreach ($moves as $move) {
            $kind = self::kindOf($move);
            if ($kind !== null && $move->order_id !== null) {
                $cents = $move->to_place_id === $place ? $move->value : -$move->value;
                $sums[$kind->value][$move->order_id] = ($sums[$kind->value][$move->order_id] ?? 0) + $cents;
            }
        }

        return $sums;
    }

    /** What a move puts into the cost of an order; null = what it gave, which another book takes back. */
    private static function kindOf(Move $move): ?CostKind
    {
        return match (true) {
            $move->component_id !== null => CostKind::Material,
            $move->purchase_line_id !== null => CostKind::Bought,
            default => null,
        };
    }
}
