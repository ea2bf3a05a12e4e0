<?php

namespace App\Actions\Shop;

use App\Actions\Usage\Backflush;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\JustBooked;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Books\StepClock;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\WorkOrdered;

/** Counts good and scrap at a step, books the time and passes pieces on to the next. */
final class ReportStep
{
    public function __construct(private readonly Bookings $bookings, private readonly JustBooked $just)
    {
    }

    /**
     * @param  array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string}  $report  minutes null
     *     = since the start or the last count, none when it was not started
     *
     * @throws Refused also at a supplier's step: what comes back from there is booked by who receives it
     */
    public function handle(int $stepId, array $report, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Report,
            $signed->because($report['reason']),
            new Part(
                fn (): Needs => Backflush::needs($stepId),
                function (Ledger $ledger, Held $held) use ($stepId, $report): void {
                    $order = $held->order($held->needs->orders[0] ?? 0);
                    $steps = $order->steps()->get();
                    $step = $steps->findOrFail($stepId);
                    if ($step->isOutside()) {
                        throw StepRefused::elsewhere($step->label(), true);
                    }
                    $this->write($ledger, $held, $order, $steps, $step, $report);
                },
                asksAgain: false,
            ),
        );
    }

    /**
     * Pieces that nobody counted are done and gone on: counted good and passed on, with the time that was clocked.
     *
     * @throws Refused when so many are not there
     */
    public function countThrough(Ledger $ledger, Held $held, Order $order, OrderStep $step, BigDecimal $pieces): void
    {
        $missing = $pieces->minus($step->pieces()->inHand());
        $this->write($ledger, $held, $order, $order->steps()->get(), $step, [
            'good' => Amount::plain(BigDecimal::max(0, $missing)),
            'scrap' => '0',
            'pass_on' => Amount::plain($pieces),
            'minutes' => null,
            'reason' => '',
        ]);
    }

    /**
     * Counts within a deed, in the shop or what came back from outside.
     *
     * @param  Collection<int, OrderStep>  $steps  of the order
     * @param  array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string,
     *     used?: array<int, string>}  $report  with what a supplier used of components, by component
     *
     * @throws Refused
     */
    public function write(
        Ledger $ledger,
        Held $held,
        Order $order,
        Collection $steps,
        OrderStep $step,
        array $report,
    ): void {
        $order->load('item.unit', 'item.units.unit')->assertMay(OrderDeed::Count);
        $next = $steps->firstWhere('number', '>', $step->number);
        [$good, $scrap, $passOn] = self::counted($order, $report, $next);
        $backflush = Backflush::of($ledger, $held, $order, $step);
        $clock = new StepClock($step);
        $machine = $step->isOutside() ? 0 : $report['minutes'] ?? $clock->minutes();
        $isFirst = $step->pieces()->good->plus($step->pieces()->scrap)->isZero();
        // a set-up that is shared is asked for only where people are not there all the time
        $time = $step->timeAlone()->isTended() ? $step->timeAlone() : $step->time();
        $labour = $time->labourIn($machine, $step->crew, $isFirst);
        $label = $step->label();
        $now = $step->pieces()->count($good, $scrap, $label)->passOn($passOn, $label);
        $ledger->counts->set($step, $now, $labour, $machine, $clock->stands());
        $this->passed($ledger, $next, $passOn);
        $this->cost($ledger, $order, $step, $labour, $machine, $good->plus($scrap));
        $backflush->book($report['used'] ?? []);
        if ($scrap->isPositive()) {
            $ledger->ask->short($order, $step->number, $scrap);
        }
        $clock->counted();
        $ledger->concerns($order);
        $ledger->says($this->sentence($order, $step, $good, $scrap, $passOn, $next));
    }

    private function passed(Ledger $ledger, ?OrderStep $next, BigDecimal $pieces): void
    {
        if ($next !== null && $pieces->isPositive()) {
            $ledger->counts->set($next, $next->pieces()->takeIn($pieces));
            $this->just->reachedOutside = $next->isOutside() && $next->work_ordered === WorkOrdered::WithPieces;
        }
    }

    /**
     * @param  array{good: string, scrap: string, pass_on: string, minutes: ?int, reason: string}  $report
     * @return array{BigDecimal, BigDecimal, BigDecimal} good, scrap, passed on
     *
     * @throws Refused
     */
    private static function counted(Order $order, array $report, ?OrderStep $next): array
    {
        $good = $order->item->quantity($report['good'])->amount;
        $scrap = $order->item->quantity($report['scrap'])->amount;
        $passOn = $order->item->quantity($report['pass_on'])->amount;

        return match (true) {
            $good->plus($scrap)->plus($passOn)->isZero() => throw OrderRefused::nothingCounted(),
            $scrap->isPositive() && trim($report['reason']) === '' => throw OrderRefused::scrapUnexplained(),
            $next === null && $passOn->isPositive() => throw StepRefused::lastStep(),
            default => [$good, $scrap, $passOn],
        };
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
            return; // what the supplier charges is booked by who books the pieces back
        }
        foreach ($step->rates()->cost($labour, $machine, $pieces) as $kind => $cents) {
            $ledger->costs->add($order, CostKind::from($kind), $cents, $step);
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
