<?php

namespace App\Actions\Outside;

use App\Actions\Demand\ReceiveAndShip;
use App\Actions\Orders\ReceiveAndIssue;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Shop\ReportStep;
use App\Actions\Usage\Backflush;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Place;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\CameBack;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\ValueThere;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Counts what comes back from the supplier of a step, and passes it on: a deed of who receives it. */
final class ComesBack
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly ReportStep $report,
        private readonly ReceiveAndShip $ship,
        private readonly ReceiveAndIssue $issue,
    ) {
    }

    /**
     * @throws Refused when more came back than is there, where the step is done in the shop, and where what is to go
     *     straight on cannot
     */
    public function handle(int $stepId, TypedBack $typed, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::CameBack,
            $signed->because($typed->reason),
            new Part(
                fn (): Needs => self::needs($stepId, $typed->onward),
                function (Ledger $ledger, Held $held) use ($stepId, $typed): void {
                    $step = OrderStep::query()->findOrFail($stepId);
                    $order = $held->order($step->order_id)->load('item.unit', 'item.units.unit');
                    if (! $step->isOutside()) {
                        throw StepRefused::elsewhere($step->label(), false);
                    }
                    $this->write($ledger, $held, $order, $step, $typed);
                },
            ),
            ...$this->received($stepId, $typed),
        );
    }

    private static function needs(int $stepId, Onward $onward): Needs
    {
        $next = $onward === Onward::Supplier ? OrderStep::query()->findOrFail($stepId)->after() : null;

        return Backflush::needs($stepId)
            ->and(WorkDone::needs($stepId))
            ->and($next === null ? Needs::nothing() : WorkDone::needs($next->id));
    }

    /** @return list<Part> by which the good ones are received, and shipped or handed to the orders that wait */
    private function received(int $stepId, TypedBack $typed): array
    {
        if (! in_array($typed->onward, [Onward::Customer, Onward::Waiting], true)) {
            return [];
        }
        $order = OrderStep::query()->findOrFail($stepId)->order()->firstOrFail();
        $receipt = new TypedReceipt($typed->good, Place::passedThrough($order->item_id)->id);

        return $typed->onward === Onward::Customer
            ? $this->ship->parts($order->id, $receipt)
            : $this->issue->parts($order->id, $receipt);
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, Order $order, OrderStep $step, TypedBack $typed): void
    {
        $came = self::counted($order, $typed);
        (new StraightOn($ledger))->assertCan($step, $came->good, $typed->onward);
        $soFar = self::costOf($order, $came->scrap());
        $ledger->consigned->came($step, $came);
        $passOn = $typed->onward === Onward::Supplier
            ? $came->good
            : $order->item->quantity($typed->passOn)->amount;
        if ($came->good->plus($came->scrap())->plus($passOn)->isZero()) {
            $ledger->concerns($order);
            $ledger->says("{$order->number} {$step->label()}: {$came->says()}; they can go again.");

            return;
        }
        $this->report->write($ledger, $held, $order, $order->steps()->get(), $step, [
            'good' => Amount::plain($came->good),
            'scrap' => Amount::plain($came->scrap()),
            'pass_on' => Amount::plain($passOn),
            'minutes' => 0,
            'reason' => $typed->reason,
            'used' => $typed->used,
        ]);
        $came->lost->plus($came->unworked)->isZero() ?: $ledger->says("Of those that went {$came->says()}.");
        (new WorkDone($ledger, $held))->book($order, $step->refresh(), $came->paid(), $came->unpaid());
        if ($came->unpaid()->isPositive()) {
            $ledger->claims->open($order, $step, $came->unpaid(), $soFar, $came->whose, $typed->reason);
        }
        (new StraightOn($ledger))->go($step, $came->good, $typed->onward);
    }

    /** Cents that so many pieces have cost so far (trade.md W5). */
    private static function costOf(Order $order, BigDecimal $pieces): int
    {
        $inOrder = (int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents');
        $scrap = (string) $order->steps()->sum('scrap');
        $alive = BigDecimal::of($order->quantity)->minus($order->received())->minus($scrap);

        return ValueThere::of($inOrder, $pieces, $alive);
    }

    /** @throws Refused */
    private static function counted(Order $order, TypedBack $typed): CameBack
    {
        $amount = fn (string $typed) => $order->item->quantity($typed)->amount;
        $came = new CameBack(
            $amount($typed->good),
            $amount($typed->spoiled),
            $amount($typed->lost),
            $amount($typed->unworked),
            $typed->whose ?? Whose::Ours,
        );

        return match (true) {
            $came->all()->plus($amount($typed->passOn))->isZero() => throw OutsideRefused::nothingCame(),
            $came->scrap()->isPositive() && trim($typed->reason) === '' => throw OutsideRefused::unexplained(),
            $came->scrap()->isPositive() && $typed->whose === null => throw OutsideRefused::whose(),
            default => $came,
        };
    }
}
