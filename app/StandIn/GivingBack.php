<?php

namespace App\StandIn;

use App\Actions\Outside\ComesBack;
use App\Actions\Outside\TypedBack;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Shop\Away;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** A supplier of the demo gives back the pieces he worked on: all, half of them, or one of them spoiled. */
final readonly class GivingBack
{
    public function __construct(private ComesBack $back)
    {
    }

    /**
     * @return Booking of the last of its steps
     *
     * @throws Refused when none of the pieces is there
     */
    public function handle(PurchaseOrder $order, Turn $turn, Signed $signed): Booking
    {
        $booking = null;
        foreach ($order->lines()->with('item.unit', 'step')->where('is_open', true)->get() as $line) {
            $there = $line->step === null ? BigDecimal::zero() : Away::pieces($line->step->id);
            if ($line->step !== null && $there->isPositive()) {
                $own = new Signed("{$signed->token}-{$line->id}", $signed->person, fingerprint: $signed->fingerprint);
                $booking = $this->back->handle($line->step->id, self::typed($line, $there, $turn), $own);
            }
        }

        return $booking ?? throw OutsideRefused::nothingThere($order->number);
    }

    private static function isLast(PurchaseLine $line): bool
    {
        return $line->step === null || OrderStep::query()
            ->where('order_id', $line->step->order_id)
            ->where('number', '>', $line->step->number)
            ->doesntExist();
    }

    private static function typed(PurchaseLine $line, BigDecimal $there, Turn $turn): TypedBack
    {
        $decimals = $line->item->unit->decimals;
        $comes = $turn === Turn::Half
            ? $there->multipliedBy('0.5')->toScale($decimals, RoundingMode::UP)
            : $there;
        $spoiled = $turn === Turn::Rejects ? BigDecimal::min($comes, 1) : BigDecimal::zero();
        $good = $comes->minus($spoiled);

        return new TypedBack(
            Amount::plain($good),
            self::isLast($line) ? '0' : Amount::plain($good),
            Amount::plain($spoiled),
            reason: $spoiled->isZero() ? '' : 'spoiled at the supplier',
            whose: $spoiled->isZero() ? null : Whose::Open,
        );
    }
}
