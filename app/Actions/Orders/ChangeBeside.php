<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\LineBasis;

/** Another quantity comes back beside the product of one order than its structure says. */
final class ChangeBeside
{
    public function __construct(private readonly OrderChange $change, private readonly PlannedCost $cost)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  string  $quantity  of the whole order, in the stock unit; 0 = none comes back
     *
     * @throws Refused when more came already
     */
    public function handle(int $outputId, int $version, string $quantity, Signed $signed): Booking
    {
        $orderId = OrderOutput::query()->findOrFail($outputId)->order_id;

        return $this->change->handle($orderId, $version, $signed, function (Ledger $ledger, Order $order) use (
            $outputId,
            $quantity,
        ): string {
            $output = OrderOutput::query()->with('item.unit', 'item.units.unit')->findOrFail($outputId);
            if ($output->isProduct()) {
                throw OrderRefused::isTheProduct($order->number);
            }
            $amount = $output->item->quantity($quantity)->amount;
            if ($amount->isLessThan($output->received_quantity)) {
                throw OrderRefused::cameBack($output->received());
            }
            $what = "{$output->item->unit->code} {$output->item->label()}";
            $was = Amount::plain($output->planned_quantity);
            $ledger->change($order, "comes back, {$output->item->number}", $was, Amount::plain($amount));
            $this->plan($order, $output, $amount);
            $ledger->touch($order);

            return "Of order {$order->number} ".Amount::plain($amount)." {$what} are to come back, not {$was}.";
        });
    }

    /** As a ratio: it follows, where the order is changed later, and each part of it that is built. */
    private function plan(Order $order, OrderOutput $output, BigDecimal $amount): void
    {
        $ratio = $output->basis === LineBasis::PerOrder
            ? BigRational::of($amount)
            : BigRational::of($amount)->dividedBy($order->quantity)->simplified();
        $output->fill([
            'ratio_p' => (string) $ratio->getNumerator(),
            'ratio_q' => (string) $ratio->getDenominator(),
            'planned_quantity' => (string) $amount,
        ])->save();
        if ($order->released_at !== null) {
            $pieces = BigDecimal::of($order->quantity);
            $this->cost->rescale($order, $pieces, $pieces); // what it carries is shared anew
            $order->save();
        }
    }
}
