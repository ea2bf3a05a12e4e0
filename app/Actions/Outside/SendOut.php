<?php

namespace App\Actions\Outside;

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
use App\Models\OrderStep;
use App\Models\Supplier;
use App\Shop\Away;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Pieces of one order or of several go to their supplier in one consignment. They stay pieces of their orders; from now
 * on they are to be back on a day.
 */
final class SendOut
{
    public function __construct(private readonly Bookings $bookings, private readonly ReportStep $report)
    {
    }

    /**
     * @param  list<TypedSendOut>  $rows
     * @param  string  $note  on its paper
     * @param  list<TypedPartOut|TypedComponentOut>  $along  stock that goes along
     *
     * @throws Refused with a sentence beside each row that is wrong; nothing is written then
     */
    public function handle(int $supplier, array $rows, string $note, Signed $signed, array $along = []): Booking
    {
        $steps = array_map(fn (TypedSendOut $row): int => $row->step, $rows);

        return $this->bookings->once(BookingKind::SentOut, $signed, new Part(
            fn (): Needs => Needs::orders(OrderStep::query()->whereKey($steps)->pluck('order_id'))
                ->and(self::besides($rows))->and(PartsOut::needs($along))->and(ComponentsOut::needs($along)),
            function (Ledger $ledger, Held $held) use ($supplier, $rows, $note, $along): void {
                $to = Supplier::query()->findOrFail($supplier);
                if ($rows === [] && $along === []) {
                    throw OutsideRefused::nothingSent();
                }
                $now = CarbonImmutable::now()->startOfSecond();
                $went = [
                    ...(new PartsOut($ledger))->write($to, $along, $now),
                    ...(new ComponentsOut($ledger, $held))->write($to, $along, $now),
                ];
                $said = [...$this->write($ledger, $held, $to, $rows), ...$went];
                $head = $ledger->consigned->to($to);
                $head->update(['note' => $note]);
                $ledger->says("{$head->number} to {$to->name}: ".implode('; ', $said).'.');
            },
        ));
    }

    /**
     * The purchase orders on which their work is ordered, and what counting through at the steps before them needs.
     *
     * @param  list<TypedSendOut>  $rows
     */
    private static function besides(array $rows): Needs
    {
        $needs = Needs::nothing();
        foreach ($rows as $row) {
            $needs = $needs->and(WorkDone::needs($row->step));
            $before = $row->countThrough ? OrderStep::query()->findOrFail($row->step)->before() : null;
            $needs = $before === null ? $needs : $needs->and(Backflush::needs($before->id));
        }

        return $needs;
    }

    /**
     * @param  list<TypedSendOut>  $rows
     * @return list<string> what went, in words
     *
     * @throws Refused
     */
    private function write(Ledger $ledger, Held $held, Supplier $to, array $rows): array
    {
        $said = $wrong = [];
        $now = CarbonImmutable::now()->startOfSecond();
        $deliveries = Deliveries::now();
        foreach ($rows as $row) {
            $step = OrderStep::query()->findOrFail($row->step);
            try {
                $pieces = $this->made($ledger, $held, $to, $step, $row);
            } catch (Refused $refused) {
                $wrong[$row->field()] = $refused->getMessage();

                continue;
            }
            $step->refresh();
            $ledger->consigned->send($step, $to, $pieces, $now, BackDay::ofSending($deliveries, $step, $now));
            $order = $held->order($step->order_id);
            count($rows) === 1 ? $ledger->concerns($order) : $ledger->touch($order);
            $said[] = Amount::plain($pieces)." of {$order->number} {$step->label()}";
        }

        return $wrong === [] ? $said : throw new Refused($wrong);
    }

    /**
     * So many stand at the step, counted through at the one before where it was asked for.
     *
     * @throws Refused when there are fewer
     */
    private function made(Ledger $ledger, Held $held, Supplier $to, OrderStep $step, TypedSendOut $row): BigDecimal
    {
        $order = $held->order($step->order_id)->load('item.unit', 'item.units.unit');
        $order->assertMay(OrderDeed::SendOut);
        $what = "{$order->number} {$step->label()}";
        if ($step->supplier_id !== $to->id) {
            throw OutsideRefused::atAnother($what, $to->name);
        }
        $wanted = $order->item->quantity($row->pieces)->amount;
        $here = $step->pieces()->toDo()->minus(Away::pieces($step->id));
        if ($wanted->isLessThanOrEqualTo($here)) {
            return $wanted;
        }
        $before = $step->before();
        $could = $before === null || $before->isOutside() ? BigDecimal::zero() : $before->pieces()->alive();
        if ($before === null || $wanted->isGreaterThan($here->plus($could))) {
            throw OutsideRefused::moreThanItHas($wanted, $here->plus($could), $what);
        }
        if (! $row->countThrough) {
            throw OutsideRefused::notPassedOn($wanted, $here, $what, $could, $before->label());
        }
        $this->report->countThrough($ledger, $held, $order, $before, $wanted->minus($here));

        return $wanted;
    }
}
