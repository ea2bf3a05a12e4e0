<?php

namespace App\Actions\Billing;

use App\Actions\Stock\Receipts;
use App\Actions\Stock\Received;
use App\Actions\Stock\SpreadOver;
use App\Books\Ledger;
use App\Models\BillLine;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Purchasing\TakenLine;
use KeepPace\Core\Refused;

/** The goods of a bill, by what they came: what is beyond their agreed price, and what is charged, goes to these. */
final class BilledGoods
{
    /** @var list<array{PurchaseLine, TakenLine, list<Received>}> */
    private array $lines = [];

    /** @var array<int, BigDecimal> billed of it before, by purchase line */
    private array $before = [];

    /** @var list<array{PurchaseLine, TakenLine}> credited for what went back, at less than it was agreed at */
    private array $credits = [];

    public function add(PurchaseLine $purchase, TakenLine $taken): void
    {
        if ($taken->quantity->isNegative()) {
            $taken->difference === 0 ?: $this->credits[] = [$purchase, $taken];

            return;
        }
        if ($taken->quantity->isPositive()) {
            $before = $this->before[$purchase->id]
                ?? BigDecimal::of($purchase->billed_quantity)->plus($purchase->unpaid_quantity);
            $received = $purchase->isWork()
                ? [Received::work($purchase, $taken->quantity)]
                : Receipts::ofLine($purchase, $before, $taken->quantity);
            $this->lines[] = [$purchase, $taken, $received];
            // a second line of it on the same bill comes after this one
            $this->before[$purchase->id] = $before->plus($taken->quantity);
        }
    }

    /** Goods that went back lie nowhere any more: what is credited less for them than was agreed is variance. */
    public function ofCredits(Ledger $ledger): int
    {
        $lost = 0;
        foreach ($this->credits as [$purchase, $taken]) {
            if (! $purchase->isWork()) {
                $ledger->moves->variance($purchase->item, $taken->difference);
                $lost += $taken->difference;
            }
        }

        return $lost;
    }

    /** @return list<array{Received, int}> cents billed beyond what was agreed, by what came */
    public function differences(): array
    {
        $all = [];
        foreach ($this->lines as [, $taken, $received]) {
            $taken->difference === 0 ?: array_push($all, ...SpreadOver::within($taken->difference, $received));
        }
        // work credited at less stays in the cost of its order
        foreach ($this->credits as [$purchase, $taken]) {
            $purchase->isWork() && $all[] = [Received::work($purchase, $taken->quantity), $taken->difference];
        }

        return $all;
    }

    /**
     * @return list<array{Received, int}> cents of a charge, by what came
     *
     * @throws Refused where it lies on nothing, or the goods do not say by what it is spread
     */
    public function charged(BillLine $charge): array
    {
        $by = $charge->spread_by ?? SpreadBy::Value;
        $delivery = $charge->receipt_booking_id === null ? [] : Receipts::ofBooking($charge->receipt_booking_id);
        if ($delivery !== []) {
            return SpreadOver::receipts($charge->cents, $by, $delivery);
        }
        if ($charge->receipt_booking_id !== null || $this->lines === []) {
            throw BillRefused::chargeOnNothing($charge->says);
        }
        $lines = [];
        foreach ($this->lines as [$purchase, $taken, $received]) {
            $lines[] = [SpreadOver::line($purchase->item, $taken->quantity, $taken->cents), $received];
        }

        return SpreadOver::lines($charge->cents, $by, $lines);
    }
}
