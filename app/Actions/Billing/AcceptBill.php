<?php

namespace App\Actions\Billing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Stock\LaterValue;
use App\Actions\Stock\Receipts;
use App\Actions\Stock\Received;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Bill;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Move;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Purchasing\TakenLine;
use KeepPace\Core\Refused;

/**
 * Books a supplier's bill: what it bills is owed no longer, what it bills beyond the agreed price and what it charges
 * goes to the goods it is for.
 */
final class AcceptBill
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $version  of the bill as the person saw it
     * @param  array<int, Holds>  $holds  whose figure holds, by line; those that are as agreed need none
     *
     * @throws Refused beside lines that differ and of which nobody has said it
     */
    public function handle(int $id, int $version, array $holds, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::BillAccepted, $signed, new Part(
            fn (): Needs => self::needs($id),
            function (Ledger $ledger, Held $held) use ($version, $holds): void {
                $bill = $held->bill()->load('supplier', 'lines.purchase.item.unit');
                ChangedMeanwhile::check($bill, $version);
                if ($bill->state !== BillState::Open) {
                    throw BillRefused::notOpen($bill->number, $bill->state);
                }
                $ledger->concernsBill($bill);
                $this->write($ledger, $held, $bill, $holds);
            },
        ));
    }

    private static function needs(int $id): Needs
    {
        $bill = Bill::query()->with('lines.purchase')->findOrFail($id);
        $on = Move::query()->whereIn('booking_id', $bill->lines->pluck('receipt_booking_id')->filter());

        return Needs::bill($id)
            ->and(Needs::purchaseOrders($bill->lines->pluck('purchase.purchase_order_id')))
            ->and(Needs::orders([...$bill->lines->pluck('purchase.cost_order_id'), ...Receipts::intoOrders($on)]))
            ->and(Needs::items([...$bill->lines->pluck('purchase.item_id'), ...$on->pluck('item_id')]));
    }

    /**
     * @param  array<int, Holds>  $holds
     *
     * @throws Refused
     */
    private function write(Ledger $ledger, Held $held, Bill $bill, array $holds): void
    {
        $goods = new BilledGoods;
        $paid = self::take($ledger, $held, $bill, self::taken($bill, $holds), $goods);
        $lost = $goods->ofCredits($ledger);
        $more = $goods->differences();
        foreach ($bill->lines->whereNull('purchase_line_id') as $charge) {
            array_push($more, ...$goods->charged($charge));
        }
        $toStock = self::onto($ledger, $more);
        $all = array_sum(array_column($more, 1));
        $bill->fill(['state' => BillState::Accepted, 'accepted_booking_id' => $ledger->booking->id]);
        $ledger->says("{$bill->word()} {$bill->number} of {$bill->supplier->name} accepted: ".Said::euros($paid).' €'
            .($paid === $bill->cents ? '' : ' of '.Said::euros($bill->cents).' €').'. '
            .($more === [] ? '' : Said::euros($all).' € beyond the goods as they were taken in: '
                .Said::euros($toStock).' to stock, '.Said::euros($all - $toStock).' variance.')
            .($lost === 0 ? '' : ' Of what went back '.Said::euros($lost).' € is not credited: variance.'));
    }

    /**
     * @param  array<int, TakenLine>  $taken  by line, goods only
     * @return int cents to be paid
     */
    private static function take(Ledger $ledger, Held $held, Bill $bill, array $taken, BilledGoods $goods): int
    {
        $paid = 0;
        foreach ($bill->lines as $line) {
            $of = $taken[$line->id] ?? null;
            if ($of !== null && $line->purchase !== null) {
                $goods->add($line->purchase, $of);
                $ledger->owed->billed($line->purchase, $of->quantity, $of->cents);
                $ledger->touch($held->purchaseOrder($line->purchase->purchase_order_id));
            }
            $line->taken_quantity = (string) ($of->quantity ?? BigDecimal::zero());
            $line->taken_cents = $of->cents ?? $line->cents;
            $line->save();
            $paid += $line->taken_cents;
        }

        return $paid;
    }

    /**
     * @param  array<int, Holds>  $holds
     * @return array<int, TakenLine> by line, goods only
     *
     * @throws Refused
     */
    private static function taken(Bill $bill, array $holds): array
    {
        $taken = $wrong = [];
        $before = [];
        foreach ($bill->lines->whereNotNull('purchase_line_id') as $line) {
            $id = (int) $line->purchase_line_id;
            $compared = $line->compared($before[$id] ?? null) ?? throw new \LogicException('It is a charge.');
            try {
                $hold = $holds[$line->id] ?? ($compared->isAsAgreed() ? Holds::Theirs : throw Refused::because(
                    'It differs: say whose figure holds.',
                ));
                $taken[$line->id] = $compared->taken($hold);
                $before[$id] = ($before[$id] ?? BigDecimal::zero())->plus($taken[$line->id]->quantity);
            } catch (Refused $refused) {
                $wrong["holds.{$line->id}"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        $isNothing = array_filter($taken, fn (TakenLine $one): bool => ! $one->quantity->isZero()) === [];

        return $isNothing && $bill->lines->whereNull('purchase_line_id')->isEmpty()
            ? throw BillRefused::nothingTaken()
            : $taken;
    }

    /**
     * @param  list<array{Received, int}>  $more  cents by what came
     * @return int of it to stock
     */
    private static function onto(Ledger $ledger, array $more): int
    {
        return $more === [] ? 0 : (new LaterValue($ledger, array_column($more, 0)))->add(array_column($more, 1));
    }
}
