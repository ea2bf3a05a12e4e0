<?php

namespace App\Actions\Builds;

use App\Actions\Shop\ReportStep;
use App\Books\Held;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderStep;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Planning\BuildRefused;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;

/** The steps of a build, if it has any: counted through to the last one with the pieces that were built. */
final class BuiltSteps
{
    public function __construct(private readonly ReportStep $report)
    {
    }

    /** @throws BuildRefused where pieces would have to leave the house */
    public static function assertHere(Order $order): void
    {
        $outside = $order->steps()->get()->first(fn (OrderStep $step): bool => $step->isOutside());
        if ($outside !== null) {
            throw BuildRefused::outside($order->item->label(), $outside->label());
        }
    }

    /**
     * @param  array<int, int>  $minutes  worked, by step; of what nobody said, what was clocked, else what is planned
     *     for these pieces (trade.md, W32)
     *
     * @throws OrderRefused when pieces are missing at a step
     */
    public function count(Ledger $ledger, Held $held, Order $order, BigDecimal $built, array $minutes): void
    {
        $steps = $order->steps()->get();
        foreach ($steps as $step) {
            $isLast = $step->is($steps->last());
            $missing = BigDecimal::max(0, $built->minus($step->pieces()->inHand()));
            if ($isLast && $missing->isZero()) {
                return; // counted before
            }
            $this->report->write($ledger, $held, $order, $steps, $step, [
                'good' => Amount::plain($missing),
                'scrap' => '0',
                'pass_on' => $isLast ? '0' : Amount::plain($built),
                'minutes' => $minutes[$step->number] ?? self::minutes($order, $step, $missing),
                'reason' => '',
            ]);
        }
    }

    /** Null = as the clock says. */
    private static function minutes(Order $order, OrderStep $step, BigDecimal $pieces): ?int
    {
        if ($step->spell_from !== null) {
            return null;
        }
        $share = BigDecimal::of($step->planned_minutes)->multipliedBy($pieces);

        return $share->dividedBy($order->quantity, 0, RoundingMode::HALF_UP)->toInt();
    }
}
