<?php

namespace App\Books;

use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Reading\Row;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What a deed changed on a document's own fields, and which documents it called into being: by this it can be taken
 * back without a word about what kind of deed it was.
 */
final class Records implements Book
{
    /** Documents whose fields are kept, by the name they have here. */
    private const MODELS = [
        'order' => Order::class,
        'customer_order' => CustomerOrder::class,
        'purchase_line' => PurchaseLine::class,
    ];

    /** @var list<array{booking_id: int, record: string, record_id: int, fields: string|null}> to be written */
    private array $rows = [];

    private readonly MadeDocuments $made;

    public function __construct(private readonly Ledger $ledger)
    {
        $this->made = new MadeDocuments($ledger);
    }

    /** It came into being by this deed: taken back, it is cancelled. */
    public function made(Order|CustomerOrder $document): void
    {
        $this->keep($document, null);
    }

    /**
     * Sets fields of a document and keeps what they were.
     *
     * @param  array<string, CarbonImmutable|int|string|null>  $to
     */
    public function change(Order|PurchaseLine $document, array $to): void
    {
        $was = self::stored($document);
        $document->fill($to);
        $now = self::stored($document);
        $fields = [];
        foreach (array_keys($to) as $field) {
            $fields[$field] = [$was[$field] ?? null, $now[$field] ?? null];
        }
        $this->keep($document, $fields);
        $document->save();
    }

    public function locks(Undone $undone): Needs
    {
        $by = $this->of($undone)->groupBy('record');

        return Needs::orders($by->get('order', collect())->pluck('id'))
            ->and(Needs::customerOrders($by->get('customer_order', collect())->pluck('id')))
            ->and(Needs::purchaseOrders(
                PurchaseLine::query()
                    ->whereKey($by->get('purchase_line', collect())->pluck('id'))
                    ->pluck('purchase_order_id'),
            ));
    }

    public function against(Undone $undone): array
    {
        $against = [];
        foreach ($this->of($undone) as $change) {
            $document = $this->held($change);
            if ($document instanceof PurchaseLine) {
                array_push($against, ...$this->changedSince($change, $document));
            } elseif ($change->isMade()) {
                array_push($against, ...$this->made->against(
                    $document,
                    $this->released($document, $undone),
                    $undone->booking->id,
                ));
            } elseif ($document instanceof Order) {
                array_push($against, ...$this->changedSince($change, $document));
                array_push($against, ...$this->standsOn($change, $document, $undone));
            }
        }

        return array_values(array_unique($against));
    }

    /** What a booking ended goes on again before anything of it is taken back: promises on it can come back then. */
    public function revive(Undone $undone): void
    {
        foreach ($this->of($undone) as $change) {
            $document = $this->held($change);
            if ($document instanceof Order && $change->was('state')) {
                $state = $change->before()['state'] ?? null;
                $document->setRawAttributes([...$document->getAttributes(), 'state' => $state])->save();
            }
        }
    }

    public function reverse(Undone $undone): void
    {
        foreach ($this->of($undone) as $change) {
            $document = $this->held($change);
            if ($change->isMade() && ! $document instanceof PurchaseLine) {
                $this->made->cancel($document);

                continue;
            }
            $document->setRawAttributes([...$document->getAttributes(), ...$change->before()]);
            if ($document instanceof PurchaseLine) {
                $this->ledger->concernsPurchase($this->ledger->held()->purchaseOrder($document->purchase_order_id));
            }
            if ($document instanceof Order && $change->was('released_at')) {
                $this->thaw($document);
            }
            $document->save();
        }
    }

    public function flush(): void
    {
        foreach (array_chunk($this->rows, 500) as $rows) {
            DB::table('record_changes')->insert($rows);
        }
        $this->rows = [];
    }

    /** Whether the booking closed an order: that alone can be taken back while it is closed. */
    public static function closes(Undone $undone): bool
    {
        return DB::table('record_changes')->where('booking_id', $undone->booking->id)
            ->where('fields', 'like', '%"closed_at"%')->exists();
    }

    /** What was found of a closed order stands beside its closing, and is taken back without it. */
    public static function isAfterClosing(Undone $undone, Order $order): bool
    {
        return $order->closed_at !== null && DB::table('record_changes')
            ->where('record', 'order')
            ->where('record_id', $order->id)
            ->where('fields', 'like', '%"closed_at"%')
            ->where('booking_id', '<', $undone->booking->id)
            ->exists();
    }

    /** @param  array<string, array{int|string|null, int|string|null}>|null  $fields  before, after; null = made */
    private function keep(Order|CustomerOrder|PurchaseLine $document, ?array $fields): void
    {
        $this->rows[] = [
            'booking_id' => $this->ledger->booking->id,
            'record' => (string) array_search($document::class, self::MODELS, true),
            'record_id' => $document->id,
            'fields' => $fields === null ? null : json_encode($fields, JSON_THROW_ON_ERROR),
        ];
    }

    /** @return \Illuminate\Support\Collection<int, RecordChange> newest first */
    private function of(Undone $undone): \Illuminate\Support\Collection
    {
        return $undone->isWhole
            ? Row::all(
                DB::table('record_changes')->where('booking_id', $undone->booking->id)->orderByDesc('id'),
                RecordChange::from(...),
            )
            : collect();
    }

    /** A line of a purchase is guarded by the lock of its head. */
    private function held(RecordChange $change): Order|CustomerOrder|PurchaseLine
    {
        return match ($change->record) {
            'order' => $this->ledger->held()->order($change->id),
            'purchase_line' => PurchaseLine::query()->findOrFail($change->id),
            default => $this->ledger->held()->customerOrder($change->id),
        };
    }

    /** @return array<string, int|string|null> columns as they are stored */
    private static function stored(Order|PurchaseLine $document): array
    {
        return array_map(
            fn (mixed $value): int|string|null => is_int($value) || is_string($value) ? $value : null,
            $document->getAttributes(),
        );
    }

    private function released(Order|CustomerOrder $document, Undone $undone): bool
    {
        $isIt = fn (RecordChange $change): bool => $change->record === 'order'
            && $change->id === $document->id
            && $change->was('released_at');

        return $document instanceof Order && $this->of($undone)->contains($isIt);
    }

    /** @return list<string> */
    private function changedSince(RecordChange $change, Order|PurchaseLine $document): array
    {
        $what = ($document instanceof Order ? 'order ' : '').$document->number;

        return $change->stands(self::stored($document))
            ? []
            : ["What this changed of {$what} was changed again since. Undo that first."];
    }

    /**
     * A release is what all work on the order stands on.
     *
     * @return list<string>
     */
    private function standsOn(RecordChange $change, Order $order, Undone $undone): array
    {
        if (! $change->was('released_at')) {
            return [];
        }
        $taken = DB::table('step_entries AS e')
            ->join('order_steps AS s', 's.id', 'e.order_step_id')
            ->where('s.order_id', $order->id)
            ->where('s.number', DB::raw("(SELECT MIN(number) FROM order_steps WHERE order_id = {$order->id})"))
            ->where('e.booking_id', '<>', $undone->booking->id);
        $more = Row::sum($taken, 'e.taken_in');

        return array_values(array_filter([
            self::isMovedByOthers($order, 'output_id', $undone)
                ? "Pieces of order {$order->number} were received. Reverse that first."
                : null,
            self::isMovedByOthers($order, 'component_id', $undone)
                ? "Components were issued to order {$order->number}. Reverse the issue first."
                : null,
            $more->isPositive()
                ? "The quantity of order {$order->number} was changed after its release. Change it back first."
                : null,
        ]));
    }

    /** By other bookings than the one that is taken back, and not taken back itself: used, or received. */
    private static function isMovedByOthers(Order $order, string $column, Undone $undone): bool
    {
        return DB::table('moves AS m')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->where('m.order_id', $order->id)
            ->whereNotNull("m.{$column}")
            ->where('m.booking_id', '<>', $undone->booking->id)
            ->groupBy("m.{$column}")
            ->havingRaw("SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) <> 0")
            ->select("m.{$column}")
            ->exists();
    }

    /** An order that is not released has nothing frozen: neither rates nor what it should cost. */
    private function thaw(Order $order): void
    {
        $order->fill([
            'planned_material' => 0,
            'planned_labour' => 0,
            'planned_machine' => 0,
            'planned_overhead' => 0,
            'planned_outside' => 0,
        ]);
        $order->components()->update(['planned_value' => 0, 'short_at_release' => false]);
        $order->steps()->update(array_fill_keys(OrderStep::RATES, null));
        $order->beside()->update(['planned_value' => 0, 'unit_value' => null]);
    }
}
