<?php

namespace App\Actions\Orders;

use App\Actions\Stock\TrackedCodes;
use App\Books\Ledger;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Costing\Credit;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Structure\ShareRule;

/** So much of one output of an order comes into stock, lot by lot, for whom it was promised first. */
final readonly class OutputReceipt
{
    /**
     * @param  non-empty-list<array{lot: int, quantity: BigDecimal}>  $lots
     * @param  list<StockKey>  $keys  where each of them goes
     */
    private function __construct(
        private Ledger $ledger,
        private Order $order,
        private OrderOutput $output,
        private Item $item,
        private BigDecimal $amount,
        private array $lots,
        private array $keys,
    ) {
    }

    /**
     * Read before anything is written.
     *
     * @param  int  $owner  a customer, of whose own material it is; 0 = us
     *
     * @throws Refused when lots or serials are missing, or are there already
     */
    public static function read(
        Ledger $ledger,
        Order $order,
        OrderOutput $output,
        BigDecimal $amount,
        string $codes,
        int $placeId,
        int $owner = 0,
        Condition $as = Condition::Free,
    ): self {
        $item = $output->item;
        $lots = TrackedCodes::split($item, $amount, $codes);
        $keys = array_map(
            fn (array $lot): StockKey => new StockKey($item->id, $placeId, $lot['lot'], $as, $owner),
            $lots,
        );
        $ledger->stock->read($keys);
        TrackedCodes::assertSerialsAreNew($item, $lots);

        return new self($ledger, $order, $output, $item, $amount, $lots, $keys);
    }

    /**
     * @param  int|null  $value  cents it carries; null = what it is planned to
     * @return int cents that came with it: by standard cost not what was given
     */
    public function book(?int $value = null): int
    {
        $value ??= $this->worth();
        $shares = Cents::running($value, array_column($this->lots, 'quantity'), $this->amount);
        $taken = 0;
        foreach ($this->lots as $i => $lot) {
            $taken += $this->ledger->moves->move(
                $this->item,
                $lot['quantity'],
                $shares[$i],
                End::output($this->order->id, $this->output->id),
                End::stock($this->keys[$i]),
            );
        }
        Lot::query()
            ->whereKey(array_filter(array_column($this->lots, 'lot')))
            ->whereNull('made_by_order_id')
            ->update(['made_by_order_id' => $this->order->id]);
        // with standard cost not the planned one; what the order has cost more or less is its variance at closing
        $this->ledger->costs->add($this->order, CostKind::Receipt, -$taken);
        if ($this->order->state === OrderState::Closed) {
            // nothing is in a closed order: what is found after it is a gain of today
            $this->ledger->costs->add($this->order, CostKind::Variance, $taken);
        }
        $this->ledger->outputs->received($this->order, $this->output, $this->amount, $taken);
        $this->keys[0]->owner !== 0 ?: $this->served();

        return $taken;
    }

    /** "20 kg OFF-1 Off-cuts" */
    public function says(): string
    {
        return Amount::plain($this->amount)." {$this->item->unit->code} {$this->item->label()}";
    }

    /**
     * By differences of running totals, so that the parts add up to the whole; a set value by no more than the order
     * has cost.
     */
    private function worth(): int
    {
        $before = $this->output->received();
        $after = $before->plus($this->amount);
        if ($this->output->isCredited() && $this->order->state === OrderState::Closed) {
            return Credit::of($this->amount, BigDecimal::of($this->output->unit_value ?? '0'));
        }
        if ($this->output->isCredited()) {
            return Credit::next(
                $after,
                BigDecimal::of($this->output->unit_value ?? '0'),
                $this->output->received_value,
                $this->ledger->costs->putInto($this->order) - self::credited($this->order),
            );
        }
        $planned = $this->output->isProduct() ? $this->order->plannedOfProduct() : $this->output->planned_value;
        $of = BigDecimal::of($this->output->isProduct() ? $this->order->quantity : $this->output->planned_quantity);

        return $of->isZero() ? 0 : Cents::part($planned, $after, $of) - Cents::part($planned, $before, $of);
    }

    /** Cents booked of all that came at a set value. */
    private static function credited(Order $order): int
    {
        return (int) $order->beside()->where('share_rule', ShareRule::SetValue)->sum('received_value');
    }

    /** What came out is promised from stock now, or kept for an order: who was promised first comes first. */
    private function served(): void
    {
        $left = $this->amount;
        $ties = Tie::query()
            ->with('line', 'component.order')
            ->where('output_id', $this->output->id)
            ->where('is_hard', true)
            ->where('quantity', '>', 0)
            ->orderBy('id')
            ->get();
        foreach ($ties as $tie) {
            $take = BigDecimal::min($left, $tie->quantity);
            if ($take->isPositive()) {
                $this->ledger->ties->change($tie, $take->negated());
                $this->ledger->bought->fromStock($tie, $tie->line === null
                    ? BigDecimal::max(0, BigDecimal::min($take, $tie->wanted()))
                    : $take);
                $left = $left->minus($take);
            }
        }
    }
}
