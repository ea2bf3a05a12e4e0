<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\Settlement;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/**
 * What one output of an order really cost, shared between what is left of it in stock and variance.
 *
 * @phpstan-type Lying array{key: StockKey, there: BigDecimal, value: int}
 */
final readonly class SettledOutput
{
    /** @param  list<Lying>  $lots  what of it is still in stock: by lot where lots keep their own cost, else as one */
    private function __construct(
        private Ledger $ledger,
        private Order $order,
        private OrderOutput $output,
        private Settlement $settled,
        private array $lots,
    ) {
    }

    /**
     * Read before anything is written.
     *
     * @param  int  $cost  cents it carries of the order's
     */
    public static function of(Ledger $ledger, Order $order, OrderOutput $output, int $cost): self
    {
        $rule = $ledger->stock->values->rule($output->item_id);
        $received = self::receivedLots($output);
        $ledger->stock->readFree(
            [$output->item_id],
            lots: $rule === CostingRule::Own ? [0, ...array_keys($received)] : [],
        );
        $lots = $rule === CostingRule::FirstInFirstOut
            ? self::layersThere($ledger, $output)
            : self::lotsThere($ledger, $output, $received);
        $there = array_reduce(
            $lots,
            fn (BigDecimal $sum, array $lot): BigDecimal => $sum->plus($lot['there']),
            BigDecimal::zero(),
        );
        // by standard cost stock stays at the set cost: all of the difference is variance
        $stays = $lots === [] || $rule === CostingRule::Standard;

        return new self($ledger, $order, $output, Settlement::decide(
            $cost,
            $output->received_value,
            $output->received(),
            $stays ? BigDecimal::zero() : $there,
            array_sum(array_column($lots, 'value')),
        ), $lots);
    }

    /** Cents. */
    public function toStock(): int
    {
        return $this->settled->toStock;
    }

    /** Cents. */
    public function variance(): int
    {
        return $this->settled->variance;
    }

    public function book(): void
    {
        $cents = $this->settled->toStock;
        $weight = fn (array $lot): int => $cents < 0
            ? $lot['value']
            : $lot['there']->multipliedBy(1_000_000)->toInt();
        $receipts = self::receipts($this->output);
        $from = End::output($this->order->id, $this->output->id);
        $shares = $cents === 0 || $this->lots === [] ? [] : Cents::split($cents, array_map($weight, $this->lots));
        foreach ($shares as $i => $share) {
            $this->ledger->moves->revalue($this->output->item, $share, $this->lots[$i]['key'], $from, $receipts);
        }
    }

    /** @return list<Lying> */
    private static function layersThere(Ledger $ledger, OrderOutput $output): array
    {
        $left = $ledger->stock->values->layers->left($output->item_id, self::receipts($output));
        $row = $ledger->stock->onHand($output->item_id)[0] ?? null;

        return $row === null || $left->quantity->isZero()
            ? []
            : [[
                'key' => $row['key'],
                'there' => BigDecimal::min($output->received(), $left->quantity),
                'value' => $left->value,
            ]];
    }

    /**
     * @param  array<int, BigDecimal>  $lots  received, by lot
     * @return list<Lying>
     */
    private static function lotsThere(Ledger $ledger, OrderOutput $output, array $lots): array
    {
        $received = $output->received();
        $found = [];
        foreach ($ledger->stock->onHand($output->item_id) as $row) {
            $lot = $row['key']->lot;
            $pool = $ledger->stock->values->rule($output->item_id) === CostingRule::Own ? $lot : 0;
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

    /** @return list<int> moves that took it into stock */
    private static function receipts(OrderOutput $output): array
    {
        return Row::ints(DB::table('moves')->where('output_id', $output->id), 'id');
    }

    /** @return array<int, BigDecimal> by lot, received less reversed */
    private static function receivedLots(OrderOutput $output): array
    {
        $received = DB::table('moves')
            ->join('places AS f', 'f.id', 'from_place_id')
            ->join('places AS t', 't.id', 'to_place_id')
            ->where('output_id', $output->id)
            ->groupBy('lot_id')
            ->select('lot_id')
            ->selectRaw("SUM(CASE WHEN f.kind = 'order' THEN quantity ELSE -quantity END) AS quantity");
        $lots = [];
        foreach (Row::all($received, fn (Row $row): Row => $row) as $row) {
            $lots[$row->int('lot_id')] = $row->decimal('quantity');
        }

        return array_filter($lots, fn (BigDecimal $quantity): bool => $quantity->isPositive());
    }
}
