<?php

namespace App\Books;

use App\Models\Move;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Place;
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

    public function locks(Undone $undone): Needs
    {
        return $undone->isWhole ? Needs::orders($undone->booking->costEntries->pluck('order_id')) : Needs::nothing();
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    /** Cost is taken back but for what lines reversed one by one took back already; of a line only its material is. */
    public function reverse(Undone $undone): void
    {
        if (! $undone->isWhole) {
            $this->materialBack($undone);

            return;
        }
        $before = $this->linesBefore($undone);
        foreach ($undone->booking->costEntries as $entry) {
            $cents = $entry->cents;
            if ($entry->kind === CostKind::Material->value && isset($before[$entry->order_id])) {
                $done = $cents > 0 ? min($cents, $before[$entry->order_id]) : max($cents, $before[$entry->order_id]);
                $before[$entry->order_id] -= $done;
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

    private function materialBack(Undone $undone): void
    {
        foreach (self::intoOrders($undone->moves) as $order => $cents) {
            $this->enter($order, CostKind::Material->value, -$cents, null);
        }
    }

    /**
     * Material, in cents by order, that lines reversed one by one took back before.
     *
     * @return array<int, int>
     */
    private function linesBefore(Undone $undone): array
    {
        $back = Move::query()
            ->whereIn('reverses_id', Move::query()->where('booking_id', $undone->booking->id)->select('id'))
            ->where('booking_id', '<>', $this->ledger->booking->id)
            ->get();

        return array_map(fn (int $cents): int => -$cents, self::intoOrders($back));
    }

    /**
     * @param  iterable<Move>  $moves
     * @return array<int, int> cents of material they put into orders, by order; below zero out of it
     */
    private static function intoOrders(iterable $moves): array
    {
        $place = Place::end(PlaceKind::Order)->id;
        $sums = [];
        foreach ($moves as $move) {
            if ($move->component_id !== null && $move->order_id !== null) {
                $cents = $move->to_place_id === $place ? $move->value : -$move->value;
                $sums[$move->order_id] = ($sums[$move->order_id] ?? 0) + $cents;
            }
        }

        return $sums;
    }
}
