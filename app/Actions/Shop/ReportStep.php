<?php

namespace App\Actions\Shop;

use App\Actions\Questions\Questions;
use App\Actions\Usage\Backflush;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Books\StepClock;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Consignment;
use App\Models\Order;
use App\Models\OrderStep;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Counts good and scrap at a step, books the time and passes pieces on to the next. */
final class ReportStep
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string}  $report  minutes null
     *     = since the start or the last count, none when it was not started
     *
     * @throws Refused
     */
    public function handle(int $stepId, array $report, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Report,
            $signed->because($report['reason']),
            function (Ledger $ledger) use ($stepId, $report): void {
                $order = Order::query()
                    ->with('item.unit', 'item.units.unit')
                    ->lockForUpdate()
                    ->findOrFail(OrderStep::query()->findOrFail($stepId)->order_id);
                $steps = $order->steps()->get();
                $step = $steps->findOrFail($stepId);
                $order->assertMay(OrderDeed::Count);
                $good = $order->item->quantity($report['good'])->amount;
                $scrap = $order->item->quantity($report['scrap'])->amount;
                $passOn = $order->item->quantity($report['pass_on'])->amount;
                if ($good->plus($scrap)->plus($passOn)->isZero()) {
                    throw OrderRefused::nothingCounted();
                }
                if ($scrap->isPositive() && trim($report['reason']) === '') {
                    throw OrderRefused::scrapUnexplained();
                }
                $next = $steps->firstWhere('number', '>', $step->number);
                if ($next === null && $passOn->isPositive()) {
                    throw OrderRefused::lastStep();
                }
                $backflush = Backflush::of($ledger, $order, $step);
                $clock = new StepClock($step);
                $machine = $step->isOutside() ? 0 : $report['minutes'] ?? $clock->minutes();
                $labour = $machine * $step->crew;
                $label = $step->label();
                $now = $step->pieces()->count($good, $scrap, $label)->passOn($passOn, $label);
                $ledger->pieces($step, $now, $labour, $machine, $clock->stands());
                if ($next !== null && $passOn->isPositive()) {
                    $ledger->pieces($next, $next->pieces()->takeIn($passOn));
                    if ($next->isOutside()) {
                        $this->send($ledger, $next, $passOn);
                    }
                }
                $this->cost($ledger, $order, $step, $labour, $machine, $good->plus($scrap));
                $backflush->book();
                if ($scrap->isPositive()) {
                    Questions::short($ledger, $order, $step->number, $scrap);
                }
                $clock->counted();
                $ledger->concerns($order);
                $ledger->says($this->sentence($order, $step, $good, $scrap, $passOn, $next));
            },
        );
    }

    /** Out of the house from now on: each handful has a day of its own to be back. */
    private function send(Ledger $ledger, OrderStep $step, BigDecimal $quantity): void
    {
        $now = CarbonImmutable::now()->startOfSecond();
        Consignment::query()->create([
            'order_step_id' => $step->id,
            'booking_id' => $ledger->booking->id,
            'quantity' => (string) $quantity,
            'sent_at' => $now,
            'back_at' => Deliveries::now()->backFrom($now, $step->lead_time_days),
        ]);
        $step->started_at ??= $now;
        $step->save();
    }

    private function cost(
        Ledger $ledger,
        Order $order,
        OrderStep $step,
        int $labour,
        int $machine,
        BigDecimal $pieces,
    ): void {
        if ($step->isOutside()) {
            $ledger->cost($order, 'outside', Cents::of($pieces, $step->price), $step); // the work done, not the parts

            return;
        }
        $rates = new Rates($step->labour_rate ?? '0', $step->machine_rate ?? '0', $step->overhead_percent ?? '0');
        foreach ($rates->cost($labour, $machine) as $kind => $cents) {
            $ledger->cost($order, $kind, $cents, $step);
        }
    }

    private function sentence(Order $order, OrderStep $step, BigDecimal $good, BigDecimal $scrap, BigDecimal $passOn,
        ?OrderStep $next): string
    {
        $parts = array_filter([
            $good->isPositive() ? Amount::plain($good).' good' : '',
            $scrap->isPositive() ? Amount::plain($scrap).' scrap' : '',
            $next !== null && $passOn->isPositive() ? Amount::plain($passOn)." passed on to step {$next->number}" : '',
        ]);

        return "{$order->number} {$step->label()}: "
            .implode(', ', $parts)
            .'.'
            .($scrap->isPositive()
                ? " Order {$order->number} will finish ".Amount::plain($this->scrapped($order)).' short.'
                : '');
    }

    private function scrapped(Order $order): BigDecimal
    {
        return BigDecimal::of((string) $order->steps()->sum('scrap'));
    }
}
