<?php

namespace App\Actions\Orders;

use App\Actions\Work\WorkGivenUp;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;

/** Changes the head of an order, or cancels it; the master stays as it is and the difference is kept. */
final class ChangeOrder
{
    public function __construct(
        private readonly OrderChange $change,
        private readonly OrderQuantity $quantity,
        private readonly DueDay $due,
        private readonly MissingParts $parts,
    ) {
    }

    /**
     * Quantity, due date, rank, held, loaded early or late.
     *
     * @param  array{quantity: string, due_on: ?string, rank: int, is_held: bool, is_loaded_late?: bool}  $to
     */
    public function head(int $id, int $version, array $to, Signed $signed): Booking
    {
        return $this->change->handle($id, $version, $signed, function (Ledger $ledger, Order $order) use ($to): string {
            $quantity = $order->item->quantity($to['quantity'])->amount;
            $said = $quantity->isEqualTo($order->quantity) ? '' : $this->quantity($ledger, $order, $quantity);
            $follow = $this->due->set($ledger, $order, $to['due_on']);
            if ($to['rank'] !== $order->rank) {
                $ledger->change($order, 'rank', (string) $order->rank, (string) $to['rank']);
                $order->rank = $to['rank'];
            }
            if ($to['is_held'] !== $order->is_held) {
                $ledger->change($order, 'held', $order->is_held ? 'held' : 'going', $to['is_held'] ? 'held' : 'going');
                $order->is_held = $to['is_held'];
            }
            $this->load($ledger, $order, $to['is_loaded_late'] ?? $order->is_loaded_late);

            return "Order {$order->number} changed.".$follow.$said.$this->excess($order);
        });
    }

    /** @return string what follows, beginning with a space; '' = nothing that is worth a word */
    private function quantity(Ledger $ledger, Order $order, BigDecimal $quantity): string
    {
        $before = BigDecimal::of($order->quantity);
        $byHand = $this->quantity->set($ledger, $order, $quantity);

        return ($byHand === [] ? '' : ' What was planned by hand follows: '.implode(', ', $byHand).'.')
            .($quantity->isGreaterThan($before) ? $this->parts->take($ledger, $order) : '')
            .MadeAgain::follow($ledger, $order, $before, $quantity);
    }

    private function load(Ledger $ledger, Order $order, bool $isLate): void
    {
        if ($isLate !== $order->is_loaded_late) {
            $says = fn (bool $late): string => $late ? 'as late as its date allows' : 'as early as it can be';
            $ledger->change($order, 'loaded', $says($order->is_loaded_late), $says($isLate));
            $order->is_loaded_late = $isLate;
        }
    }

    /** What is issued beyond what the order takes now is said, with what to do with it. */
    private function excess(Order $order): string
    {
        $over = $order
            ->components()
            ->with('item.unit')
            ->whereColumn('used_quantity', '>', 'baseline_quantity')
            ->where('baseline_quantity', '>', 0)
            ->get()
            ->map(
                fn ($component): string => Amount::plain(
                    (string) BigDecimal::of($component->used_quantity)->minus($component->baseline_quantity),
                )." {$component->item->unit->code} {$component->item->label()}",
            );

        return $over->isEmpty()
            ? ''
            : ' More is issued than it takes now: '
                    .$over->join(', ', ' and ')
                    .'. Bring it back to stores, or leave it as used.';
    }

    public function cancel(int $id, int $version, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            $signed,
            function (Ledger $ledger, Order $order) use ($signed): string {
                $order->assertMay(OrderDeed::Cancel);
                foreach ($order->covers()->where('quantity', '>', 0)->get() as $cover) {
                    $ledger->ties->change($cover, BigDecimal::of($cover->quantity)->negated());
                }
                $ledger->change($order, 'state', $order->state->value, 'cancelled');
                $order->state = OrderState::Cancelled;

                $left = WorkGivenUp::ofOrder($ledger, $order);
                $asked = MadeAgain::follow($ledger, $order, BigDecimal::of($order->quantity), BigDecimal::zero());

                return "Order {$order->number} cancelled: {$signed->reason}"
                    .($left === '' ? '' : ". {$left}")
                    .($asked === '' ? '' : ".{$asked}");
            },
            WorkGivenUp::needsOfOrder(...),
        );
    }
}
