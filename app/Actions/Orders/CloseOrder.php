<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Costing\Settlement;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Settles the cost of a built order: received + variance = cost put in, to the cent. */
final class CloseOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(int $id, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Close, $signed, new Part(
            Needs::orders([$id])->and(Needs::items(Order::query()->whereKey($id)->pluck('item_id'))),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $id),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $id): void
    {
        $order = $held->order($id)->load('item');
        $order->assertMay(OrderDeed::Close);
        self::assertNothingAlong($order);
        $ledger->concerns($order);
        $own = $ledger->stock->values->rule($order->item_id) === CostingRule::Own;
        $ledger->stock->readFree(
            [$order->item_id],
            lots: $own ? [0, ...array_keys($this->receivedLots($order))] : [],
        );
        $lots = $this->lotsThere($ledger, $order, $order->received());
        $settled = $this->settled($ledger, $order, $lots);
        if ($settled->toStock !== 0) {
            $this->toStock($ledger, $order, $settled->toStock, $lots);
            $ledger->costs->add($order, CostKind::Receipt, -$settled->toStock);
        }
        $ledger->costs->add($order, CostKind::Variance, -$settled->variance);
        $ledger->records->change($order, ['closed_at' => now()->toImmutable()]);
        $ledger->says(self::notBilled($order)."Order {$order->number} closed: ".number_format($settled->variance / 100,
            2).' variance, '.number_format($settled->toStock / 100, 2).' to stock.');
    }

    /** @throws Refused naming what is with a supplier for it still */
    private static function assertNothingAlong(Order $order): void
    {
        $along = $order->components()->with('item.unit')->where('along_quantity', '>', 0)->first();
        if ($along !== null) {
            throw OutsideRefused::stillAlong(
                BigDecimal::of($along->along_quantity),
                "{$along->item->unit->code} {$along->item->label()}",
                $order->number,
            );
        }
    }

    /** Work on it that is not billed yet: what the bill says otherwise is variance then. */
    private static function notBilled(Order $order): string
    {
        $lines = PurchaseLine::query()
            ->where('cost_order_id', $order->id)
            ->whereNotNull('order_step_id')
            ->where('is_owed', true)
            ->orderBy('id')
            ->get();
        $cents = $lines->sum(fn (PurchaseLine $line): int => (int) $line->owedCents());

        return $cents === 0
            ? ''
            : 'Its work on '.$lines->pluck('number')->join(', ', ' and ').', '.Said::euros($cents)
                .' €, is not billed yet. ';
    }

    /**
     * How what it really cost is shared between the stock that is left of it and variance.
     *
     * @param  list<array{key: StockKey, there: BigDecimal, value: int}>  $lots
     */
    private function settled(Ledger $ledger, Order $order, array $lots): Settlement
    {
        $there = array_reduce(
            $lots,
            fn (BigDecimal $sum, array $lot): BigDecimal => $sum->plus($lot['there']),
            BigDecimal::zero(),
        );
        $costIn = (int) DB::table('cost_entries')
            ->where('order_id', $order->id)
            ->where('kind', '<>', 'receipt')
            ->sum('cents');
        // by standard cost stock stays at the set cost: all of the difference is variance
        $stays = $lots === [] || $ledger->stock->values->rule($order->item_id) === CostingRule::Standard;

        return Settlement::decide(
            $costIn,
            $order->output()->received_value,
            $order->received(),
            $stays ? BigDecimal::zero() : $there,
            array_sum(array_column($lots, 'value')),
        );
    }

    /** @param  list<array{key: StockKey, there: BigDecimal, value: int}>  $lots */
    private function toStock(Ledger $ledger, Order $order, int $cents, array $lots): void
    {
        $weight = fn (array $lot): int => $cents < 0
            ? $lot['value']
            : $lot['there']->multipliedBy(1_000_000)->toInt();
        $receipts = $this->receipts($order);
        $output = End::output($order->id, $order->output()->id);
        foreach ($lots === [] ? [] : Cents::split($cents, array_map($weight, $lots)) as $i => $share) {
            $ledger->moves->revalue($order->item, $share, $lots[$i]['key'], $output, $receipts);
        }
    }

    /**
     * What of the received goods is still in stock: by lot where lots keep their own cost, else as one.
     *
     * @return list<array{key: StockKey, there: BigDecimal, value: int}>
     */
    private function lotsThere(Ledger $ledger, Order $order, BigDecimal $received): array
    {
        if ($ledger->stock->values->rule($order->item_id) === CostingRule::FirstInFirstOut) {
            $left = $ledger->stock->values->layers->left($order->item_id, $this->receipts($order));
            $row = $ledger->stock->onHand($order->item_id)[0] ?? null;

            return $row === null || $left->quantity->isZero()
                ? []
                : [[
                    'key' => $row['key'],
                    'there' => BigDecimal::min($received, $left->quantity),
                    'value' => $left->value,
                ]];
        }
        $lots = $this->receivedLots($order);
        $found = [];
        foreach ($ledger->stock->onHand($order->item_id) as $row) {
            $lot = $row['key']->lot;
            $pool = $ledger->stock->values->rule($order->item_id) === CostingRule::Own ? $lot : 0;
            if (isset($lots[$lot]) && $received->isPositive()) {
                $there = BigDecimal::min($row['quantity'], $lots[$lot]);
                $found[$pool] = [
                    'key' => $row['key'],
                    'there' => BigDecimal::min($received, $there->plus($found[$pool]['there'] ?? 0)),
                    'value' => $ledger->stock->values->of($row['key'])->value,
                ];
                $received = $pool === 0 ? $received : $received->minus($there);
                $lots[$lot] = $lots[$lot]->minus($there);
            }
        }

        return array_values($found);
    }

    /** @return list<int> moves that took goods of the order into stock */
    private function receipts(Order $order): array
    {
        return array_map(
            intval(...),
            DB::table('moves')
                ->where('output_id', $order->output()->id)
                ->pluck('id')
                ->all(),
        );
    }

    /** @return array<int, BigDecimal> by lot, received less reversed */
    private function receivedLots(Order $order): array
    {
        $lots = [];
        foreach (
            DB::table('moves')
                ->join('places AS f', 'f.id', 'from_place_id')
                ->join('places AS t', 't.id', 'to_place_id')
                ->where('output_id', $order->output()->id)
                ->groupBy('lot_id')
                ->select('lot_id')
                ->selectRaw("SUM(CASE WHEN f.kind = 'order' THEN quantity ELSE -quantity END) AS quantity")
                ->get() as $row
        ) {
            $lots[(int) $row->lot_id] = BigDecimal::of($row->quantity);
        }

        return array_filter($lots, fn (BigDecimal $quantity): bool => $quantity->isPositive());
    }
}
