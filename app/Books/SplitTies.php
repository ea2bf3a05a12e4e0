<?php

namespace App\Books;

use App\Models\Order;
use App\Models\OrderOutput;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\TieSupply;

/**
 * What an order cannot give any more, of which pieces were split off, the new one gives: to customer lines and to
 * orders, of its product and of what comes back beside it.
 */
final readonly class SplitTies
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** Pieces, quantities and outputs of both are written. */
    public function moveOver(Order $order, Order $new): void
    {
        $facts = OrderFacts::of([$order])[$order->id];
        $to = OrderOutput::query()->where('order_id', $new->id)->get()->keyBy('item_id');
        $this->over($facts->product, $facts->willCome(), $new->output());
        foreach ($facts->beside as $output) {
            $same = $to[$output->item_id] ?? throw new \LogicException('It gives what it was split from gives.');
            $this->over($output, $facts->willComeOf($output), $same);
        }
    }

    /** Who gets it first keeps it where it was. */
    private function over(OrderOutput $from, BigDecimal $comes, OrderOutput $to): void
    {
        $ties = Tie::query()
            ->with('line', 'component.order')
            ->where('output_id', $from->id)
            ->where('quantity', '>', 0)
            ->get()
            ->sortBy(fn (Tie $tie): array => $tie->turn());
        foreach ($ties as $tie) {
            $kept = BigDecimal::min($comes, $tie->left());
            $comes = $comes->minus($kept);
            $over = $tie->left()->minus($kept);
            if ($over->isPositive()) {
                $this->ledger->ties->change($tie, $over->negated());
                $this->ledger->ties->add(
                    $tie->demand(),
                    TieSupply::output($to->id),
                    $tie->is_hard,
                    $tie->item_id,
                    $over,
                );
            }
        }
    }
}
