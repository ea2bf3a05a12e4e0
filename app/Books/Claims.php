<?php

namespace App\Books;

use App\Models\Claim;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Outside\ClaimState;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\Amount;

/**
 * What suppliers are to make good (trade.md W5). A claim is no income until it is granted. It is guarded by the order
 * whose pieces they were, or the purchase they were bought on.
 */
final class Claims implements Book
{
    public function __construct(private readonly Ledger $ledger)
    {
    }

    /**
     * Pieces came back spoiled or not at all. Whose fault it was may be open: then the buyer is asked.
     *
     * @param  int  $cents  what they had cost so far
     */
    public function open(
        Order $order,
        OrderStep $step,
        BigDecimal $pieces,
        int $cents,
        Whose $whose,
        string $reason,
    ): void {
        $what = Amount::plain($pieces)." of {$order->number} {$step->label()}";
        $claim = $this->opens(new Claim([
            'supplier_id' => $step->supplier_id,
            'order_step_id' => $step->id,
            'pieces' => (string) $pieces,
            'cents' => $cents,
            'reason' => $reason,
        ]), $what, $whose);
        $claim->state === ClaimState::Asked
            && $this->ledger->ask->rejects($order, $claim, "{$what}, {$reason}: is that theirs or ours?");
    }

    /**
     * What a supplier makes of parts of ours was spoiled there.
     *
     * @param  int  $cents  what the parts in it were worth
     */
    public function openMade(PurchaseLine $line, BigDecimal $pieces, int $cents, Whose $whose): void
    {
        $what = Amount::plain($pieces)." of {$line->number}";
        $claim = $this->opens(new Claim([
            'supplier_id' => $line->order()->firstOrFail()->supplier_id,
            'purchase_line_id' => $line->id,
            'pieces' => (string) $pieces,
            'cents' => $cents,
        ]), $what, $whose);
        $claim->state === ClaimState::Asked
            && $this->ledger->ask->rejects(null, $claim, "{$what}, spoiled there: is that theirs or ours?");
    }

    private function opens(Claim $claim, string $what, Whose $whose): Claim
    {
        $claim->fill([
            'booking_id' => $this->ledger->booking->id,
            'state' => $whose === Whose::Open ? ClaimState::Asked : ClaimState::Open,
            'opened_at' => now(),
        ])->save();
        $this->ledger->says($whose === Whose::Open
            ? 'The buyer is asked whose fault it is.'
            : "{$what} claimed, ".Said::euros($claim->cents).' €.');

        return $claim;
    }

    /**
     * How it ends, or that it is open now.
     *
     * @param  int  $granted  cents
     */
    public function settle(Claim $claim, ClaimState $state, int $granted, string $answer): void
    {
        $claim->update([
            'state' => $state,
            'granted_cents' => $granted,
            'answer' => $answer,
            'ended_at' => $state->isOpen() ? null : now(),
            'ended_by_booking_id' => $this->ledger->booking->id,
        ]);
        $this->ledger->questions->claimSettled($claim, $answer);
    }

    public function locks(Undone $undone): Needs
    {
        $claims = self::opened($undone)->concat(self::settled($undone));
        $steps = $claims->pluck('order_step_id')->filter();
        $lines = $claims->pluck('purchase_line_id')->filter();

        return Needs::orders(OrderStep::query()->whereKey($steps)->pluck('order_id'))
            ->and(Needs::purchaseOrders(PurchaseLine::query()->whereKey($lines)->pluck('purchase_order_id')));
    }

    public function against(Undone $undone): array
    {
        $against = [];
        foreach (self::opened($undone) as $claim) {
            if ($claim->ended_by_booking_id !== null) {
                $against[] = 'The claim on what was spoiled there was settled since: take booking '
                    ."{$claim->ended_by_booking_id} back first.";
            }
        }

        return $against;
    }

    public function reverse(Undone $undone): void
    {
        foreach (self::opened($undone) as $claim) {
            $claim->update(['state' => ClaimState::TakenBack, 'ended_at' => now()]);
        }
        foreach (self::settled($undone) as $claim) {
            $wasAsked = $this->ledger->questions->answeredWith($claim);
            $claim->update([
                'state' => $wasAsked ? ClaimState::Asked : ClaimState::Open,
                'granted_cents' => 0,
                'answer' => '',
                'ended_at' => null,
                'ended_by_booking_id' => null,
            ]);
        }
    }

    public function flush(): void
    {
    }

    /** @return Collection<int, Claim> */
    private static function opened(Undone $undone): Collection
    {
        return $undone->isWhole
            ? Claim::query()->where('booking_id', $undone->booking->id)->get()
            : new Collection;
    }

    /** @return Collection<int, Claim> */
    private static function settled(Undone $undone): Collection
    {
        return $undone->isWhole
            ? Claim::query()->where('ended_by_booking_id', $undone->booking->id)->get()
            : new Collection;
    }
}
