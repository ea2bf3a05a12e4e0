<?php

namespace App\Actions\Outside;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Owed;
use App\Models\BookingKind;
use App\Models\Claim;
use App\Models\CostEntry;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\StepEntry;
use App\Reading\Row;
use App\Shop\WorkCharges;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Quantity\Cents;

/**
 * What is charged for work that came back, booked into its order (trade.md W1, W5): by the lines on which it is
 * ordered, the oldest first, and by the terms of the step where it was not ordered.
 */
final readonly class WorkDone
{
    public function __construct(private Ledger $ledger, private Held $held)
    {
    }

    /** Purchase orders on which the work of a step is ordered and still to come. */
    public static function needs(int $step): Needs
    {
        return Needs::purchaseOrders(self::lines($step)->pluck('purchase_order_id'));
    }

    /**
     * @param  BigDecimal  $paid  pieces that came, good or by our fault not
     * @param  BigDecimal  $unpaid  that came, and whose work is not paid
     */
    public function book(Order $order, OrderStep $step, BigDecimal $paid, BigDecimal $unpaid): void
    {
        $before = self::bookedByStep($step);
        foreach (self::lines($step->id)->get() as $line) {
            $open = $line->openQuantity();
            $ofPaid = BigDecimal::min($open, $paid);
            $ofUnpaid = BigDecimal::min($open->minus($ofPaid), $unpaid);
            [$paid, $unpaid] = [$paid->minus($ofPaid), $unpaid->minus($ofUnpaid)];
            $this->onLine($order, $step, $line, $ofPaid, $ofUnpaid);
        }
        $this->cost($order, $step, self::byStep($order, $step) - $before);
    }

    /** It turned out that the work on pieces is to be paid: they were spoiled by our own fault. */
    public function paidAfterAll(Order $order, OrderStep $step, BigDecimal $pieces): void
    {
        $before = self::bookedByStep($step);
        $lines = PurchaseLine::query()->where('order_step_id', $step->id)->where('unpaid_quantity', '>', 0);
        foreach ($lines->orderBy('id')->get() as $line) {
            $of = BigDecimal::min($pieces, $line->unpaid_quantity);
            $pieces = $pieces->minus($of);
            $of->isZero() ?: $this->ledger->owed->unpaid($line, $of->negated());
            $this->charge($order, $step, $line->refresh(), BigDecimal::zero());
        }
        $this->cost($order, $step, self::byStep($order, $step) - $before);
    }

    private function onLine(
        Order $order,
        OrderStep $step,
        PurchaseLine $line,
        BigDecimal $paid,
        BigDecimal $unpaid,
    ): void {
        $pieces = $paid->plus($unpaid);
        if ($pieces->isZero()) {
            return;
        }
        $this->held->purchaseOrder($line->purchase_order_id);
        $unpaid->isZero() ?: $this->ledger->owed->unpaid($line, $unpaid);
        $line->refresh();
        $line->received_quantity = (string) BigDecimal::of($line->received_quantity)->plus($pieces);
        $this->charge($order, $step, $line, $pieces);
    }

    /** @param  PurchaseLine  $line  as it stands with the pieces that came */
    private function charge(Order $order, OrderStep $step, PurchaseLine $line, BigDecimal $pieces): void
    {
        $cents = self::upTo($line) - Owed::workBooked($line);
        $this->ledger->owed->work($line, $pieces, $cents);
        $this->cost($order, $step, $cents);
        $this->ledger->touch($this->held->purchaseOrder($line->purchase_order_id));
    }

    /** Into the order; once that is settled it is variance. */
    private function cost(Order $order, OrderStep $step, int $cents): void
    {
        $order->state->takesCost()
            ? $this->ledger->costs->add($order, CostKind::Outside, $cents, $step)
            : $this->ledger->moves->variance($order->load('item.unit')->item, $cents);
    }

    /** Cents of a line up to now, with its share of what all that is gathered with it costs beside the pieces. */
    private static function upTo(PurchaseLine $line): int
    {
        $together = self::together($line);
        $wanted = [];
        $all = $rejected = BigDecimal::zero();
        foreach ($together as $one) {
            $wanted[$one->id] = $one->wanted();
            $all = $all->plus($one->wanted());
            $rejected = $one->id === $line->id ? $rejected : $rejected->plus($one->unpaid_quantity);
        }
        $charge = $line->charge();
        $received = BigDecimal::of($line->received_quantity);
        $unpaid = BigDecimal::of($line->unpaid_quantity);

        return $charge->upTo(
            $charge->shares($wanted)[$line->id] ?? 0,
            BigDecimal::max($line->wanted(), $received),
            $received->minus($unpaid),
            $unpaid,
            max(0, $charge->slack($all) - Cents::of($rejected, $line->price)),
        );
    }

    /** @return Collection<int, PurchaseLine> lines that the supplier charges as one */
    private static function together(PurchaseLine $line): Collection
    {
        return PurchaseLine::query()
            ->where('purchase_order_id', $line->purchase_order_id)
            ->orderBy('id')
            ->get()
            ->filter(fn (PurchaseLine $one): bool => WorkCharges::key($one) === WorkCharges::key($line));
    }

    /** Cents booked by the terms of the step: all but what is charged on lines, and what was credited. */
    private static function bookedByStep(OrderStep $step): int
    {
        $booked = CostEntry::query()
            ->where('order_step_id', $step->id)
            ->where('kind', CostKind::Outside->value)
            ->sum('cents');
        $granted = Claim::query()->where('order_step_id', $step->id)->sum('granted_cents');

        return (int) $booked - self::onLines($step->id)[3] + (int) $granted;
    }

    /**
     * Cents of work that was not ordered, by the terms of the step, up to now: the last pieces take the rest. What was
     * done before the shop went live came with its cost.
     */
    private static function byStep(Order $order, OrderStep $step): int
    {
        $came = StepEntry::query()
            ->where('order_step_id', $step->id)
            ->whereHas('booking', fn ($booking) => $booking->where('kind', BookingKind::Import))
            ->selectRaw('COALESCE(SUM(good + scrap), 0) AS pieces')
            ->value('pieces');
        $opening = BigDecimal::of((string) $came);
        [$ordered, $received, $unpaid] = self::onLines($step->id);
        $ofAll = DB::table('consignment_lines')->where('order_step_id', $step->id);
        $notPaid = Row::sum($ofAll, 'unpaid')->minus($unpaid);
        $done = BigDecimal::of($step->good)->plus($step->scrap)->minus($opening)->minus($received)->minus($notPaid);
        $lost = $order->steps()->where('number', '<', $step->number)->sum('scrap');
        $expected = BigDecimal::of($order->quantity)->minus((string) $lost)->minus($opening)->minus($ordered);

        return self::alone($step->charge(), $done, $expected, $opening);
    }

    private static function alone(
        ServiceCharge $charge,
        BigDecimal $done,
        BigDecimal $expected,
        BigDecimal $opening,
    ): int {
        $done = BigDecimal::max(0, $done);

        return $charge->ofOrder($done, BigDecimal::max($done, $expected), $opening);
    }

    /** @return array{BigDecimal, BigDecimal, BigDecimal, int} ordered, come, of these unpaid, and cents charged */
    private static function onLines(int $step): array
    {
        $sums = [BigDecimal::zero(), BigDecimal::zero(), BigDecimal::zero(), 0];
        foreach (PurchaseLine::query()->where('order_step_id', $step)->where('is_draft', false)->get() as $line) {
            $sums[0] = $sums[0]->plus(BigDecimal::max($line->wanted(), $line->received_quantity));
            $sums[1] = $sums[1]->plus($line->received_quantity);
            $sums[2] = $sums[2]->plus($line->unpaid_quantity);
            $sums[3] += $line->work_cents;
        }

        return $sums;
    }

    /** @return Builder<PurchaseLine> that are sent and open, the oldest first */
    private static function lines(int $step): Builder
    {
        return PurchaseLine::query()->where('order_step_id', $step)->where('is_open', true)->orderBy('id');
    }
}
