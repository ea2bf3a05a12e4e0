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
                $claim = Claim::query()->with('step', 'supplier')->findOrFail($id);
                $order = $held->order($claim->step->order_id);
                self::assertMay($claim, $answer, $cents, $signed->reason);
                match ($answer) {
                    ClaimAnswer::Ours => self::ours($ledger, $held, $order, $claim),
                    ClaimAnswer::Granted => self::granted($ledger, $order, $claim, $cents),
                    default => null,
                };
                $granted = $answer === ClaimAnswer::Granted ? $cents : 0;
                $ledger->claims->settle($claim, $answer->state(), $granted, self::answer($answer, $signed->reason));
                $ledger->concerns($order);
                $ledger->says(self::says($claim, $order, $answer, $cents));
            },
        ));
    }

    private static function needs(int $id): Needs
    {
        $step = Claim::query()->with('step.order')->findOrFail($id)->step;

        return Needs::orders([$step->order_id])
            ->and(Needs::purchaseOrders(
                PurchaseLine::query()->where('order_step_id', $step->id)->pluck('purchase_order_id'),
            ))
            ->and(Needs::items([$step->order->item_id]));
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
    private static function ours(Ledger $ledger, Held $held, Order $order, Claim $claim): void
    {
        $ledger->consigned->paidAfterAll($claim->step, $claim->booking_id);
        (new WorkDone($ledger, $held))->paidAfterAll($order, $claim->step, BigDecimal::of($claim->pieces));
    }

    private static function granted(Ledger $ledger, Order $order, Claim $claim, int $cents): void
    {
        $order->state->takesCost()
            ? $ledger->costs->add($order, CostKind::Outside, -$cents, $claim->step)
            : $ledger->moves->variance($order->load('item.unit')->item, -$cents);
    }

    private static function answer(ClaimAnswer $answer, string $reason): string
    {
        return trim($answer->value.($reason === '' ? '' : ": {$reason}"));
    }

    private static function says(Claim $claim, Order $order, ClaimAnswer $answer, int $cents): string
    {
        $what = Amount::plain($claim->pieces)." of {$order->number} spoiled at {$claim->supplier->name}";

        return $what.match ($answer) {
            ClaimAnswer::Theirs => ': theirs, '.Said::euros($claim->cents).' € claimed.',
            ClaimAnswer::Ours => ': ours, the work is paid.',
            ClaimAnswer::Granted => ': '.Said::euros($cents).' € of '.Said::euros($claim->cents).' € credited.',
            ClaimAnswer::Closed => ': nothing is credited.',
        };
    }
}
