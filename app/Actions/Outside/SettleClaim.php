<?php

namespace App\Actions\Outside;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Claim;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * What becomes of a claim on a supplier (trade.md W5): whose fault it was, what they credit, or that nothing comes of
 * it. A credit lowers the cost of the order; is that closed, it is variance.
 */
final class SettleClaim
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $cents  credited
     *
     * @throws Refused when it stands otherwise, or the credit is out of bounds
     */
    public function handle(int $id, ClaimAnswer $answer, int $cents, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ClaimSettled, $signed, new Part(
            fn (): Needs => self::needs($id),
            function (Ledger $ledger, Held $held) use ($id, $answer, $cents, $signed): void {
                $claim = Claim::query()->with('step', 'purchase.item.unit', 'supplier')->findOrFail($id);
                self::assertMay($claim, $answer, $cents, $signed->reason);
                $step = $claim->step;
                $of = $step === null
                    ? self::madeOnes($ledger, $held, $claim, $answer, $cents)
                    : self::pieces($ledger, $held, $step, $claim, $answer, $cents);
                $granted = $answer === ClaimAnswer::Granted ? $cents : 0;
                $ledger->claims->settle($claim, $answer->state(), $granted, self::answer($answer, $signed->reason));
                $ledger->says(self::says($claim, $of, $answer, $cents));
            },
        ));
    }

    private static function needs(int $id): Needs
    {
        $claim = Claim::query()->with('step.order', 'purchase')->findOrFail($id);
        $step = $claim->step;
        if ($step === null) {
            return Needs::purchaseOrders([$claim->purchase?->purchase_order_id])
                ->and(Needs::items([$claim->purchase?->item_id]));
        }

        return Needs::orders([$step->order_id])
            ->and(Needs::purchaseOrders(
                PurchaseLine::query()->where('order_step_id', $step->id)->pluck('purchase_order_id'),
            ))
            ->and(Needs::items([$step->order->item_id]));
    }

    /** @return string whose pieces they were */
    private static function pieces(
        Ledger $ledger,
        Held $held,
        OrderStep $step,
        Claim $claim,
        ClaimAnswer $answer,
        int $cents,
    ): string {
        $order = $held->order($step->order_id);
        match ($answer) {
            ClaimAnswer::Ours => self::ours($ledger, $held, $order, $step, $claim),
            ClaimAnswer::Granted => self::granted($ledger, $order, $step, $cents),
            default => null,
        };
        $ledger->concerns($order);

        return $order->number;
    }

    /**
     * What was made of parts of ours: these are scrapped, so a credit is variance; the work is paid by his bill.
     *
     * @return string on what they were bought
     */
    private static function madeOnes(Ledger $ledger, Held $held, Claim $claim, ClaimAnswer $answer, int $cents): string
    {
        $line = $claim->purchase ?? throw new \LogicException('A claim is on one or the other.');
        $answer !== ClaimAnswer::Granted ?: $ledger->moves->variance($line->item, -$cents);
        $ledger->concernsPurchase($held->purchaseOrder($line->purchase_order_id));

        return $line->number;
    }

    /** @throws Refused */
    private static function assertMay(Claim $claim, ClaimAnswer $answer, int $cents, string $reason): void
    {
        if (! $answer->fits($claim->state)) {
            throw OutsideRefused::claimIs($claim->state);
        }
        if ($answer === ClaimAnswer::Granted && ($cents <= 0 || $cents > $claim->cents)) {
            throw OutsideRefused::creditOutOfBounds(Said::euros($claim->cents));
        }
        if ($answer === ClaimAnswer::Closed && trim($reason) === '') {
            throw OutsideRefused::unsaid();
        }
    }

    /** The work on them is paid. */
    private static function ours(Ledger $ledger, Held $held, Order $order, OrderStep $step, Claim $claim): void
    {
        $ledger->consigned->paidAfterAll($step, $claim->booking_id);
        (new WorkDone($ledger, $held))->paidAfterAll($order, $step, BigDecimal::of($claim->pieces));
    }

    private static function granted(Ledger $ledger, Order $order, OrderStep $step, int $cents): void
    {
        $order->state->takesCost()
            ? $ledger->costs->add($order, CostKind::Outside, -$cents, $step)
            : $ledger->moves->variance($order->load('item.unit')->item, -$cents);
    }

    private static function answer(ClaimAnswer $answer, string $reason): string
    {
        return trim($answer->value.($reason === '' ? '' : ": {$reason}"));
    }

    private static function says(Claim $claim, string $of, ClaimAnswer $answer, int $cents): string
    {
        $what = Amount::plain($claim->pieces)." of {$of} spoiled at {$claim->supplier->name}";

        return $what.match ($answer) {
            ClaimAnswer::Theirs => ': theirs, '.Said::euros($claim->cents).' € claimed.',
            ClaimAnswer::Ours => $claim->step === null
                ? ': ours, nothing is claimed. Work on them that he bills is a charge on his bill.'
                : ': ours, the work is paid.',
            ClaimAnswer::Granted => ': '.Said::euros($cents).' € of '.Said::euros($claim->cents).' € credited.',
            ClaimAnswer::Closed => ': nothing is credited.',
        };
    }
}
