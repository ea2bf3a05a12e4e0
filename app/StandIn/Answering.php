<?php

namespace App\StandIn;

use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\TypedLine;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** A supplier of the demo says what he makes of an order. */
final readonly class Answering
{
    private const TWO_WEEKS = 10; // days that are worked

    public function __construct(private AnswerPurchase $answer)
    {
    }

    /** @throws Refused when the order is not to be answered as it stands */
    public function handle(PurchaseOrder $order, Turn $turn, Signed $signed): Booking
    {
        $lines = [];
        foreach ($order->lines()->with('item.unit')->where('is_open', true)->get() as $line) {
            $lines[$line->id] = self::said($line, $turn);
        }

        return $this->answer->handle($order->id, $order->version, $lines, 'C-'.(4000 + $order->id * 7), $signed);
    }

    private static function said(PurchaseLine $line, Turn $turn): TypedLine
    {
        $quantity = $turn === Turn::Fewer ? self::fewer($line) : $line->wanted();
        $price = BigDecimal::of($line->price)->multipliedBy($turn === Turn::Dearer ? '1.02' : '1');

        return new TypedLine(
            Amount::plain($line->asTyped($quantity)),
            (string) $price->toScale(4, RoundingMode::HALF_UP),
            self::day($line, $turn),
        );
    }

    /** Not fewer than what came already. */
    private static function fewer(PurchaseLine $line): BigDecimal
    {
        $fewer = $line->wanted()->multipliedBy('0.9')->toScale($line->item->unit->decimals, RoundingMode::DOWN);

        return BigDecimal::max($fewer, $line->received_quantity);
    }

    /** The day it is expected on, or the next he can make. */
    private static function day(PurchaseLine $line, Turn $turn): string
    {
        $deliveries = Deliveries::now();
        $tomorrow = $deliveries->plant->workingDaysFrom($deliveries->today, 1);

        return $deliveries->plant->workingDaysFrom(max($line->expected_on, $tomorrow), match ($turn) {
            Turn::Later => 1,
            Turn::TwoWeeks => self::TWO_WEEKS,
            default => 0,
        });
    }
}
