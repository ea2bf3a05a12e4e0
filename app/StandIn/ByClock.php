<?php

namespace App\StandIn;

use App\Books\Signed;
use App\Shop\Deliveries;
use Carbon\CarbonImmutable;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Refusal;

/**
 * What the suppliers do by themselves: they answer what was sent, bring it on its day, and bill what they brought.
 * Each deed has one token an order and version of it, so that a round begun twice does nothing twice.
 */
final readonly class ByClock
{
    /** Hours of the day, in the plant's zone. */
    private const BRING_FROM = 7;

    private const BILL_FROM = 10;

    /** Of so many orders one is brought late, and by so many days that are worked. */
    private const EVERY = 9;

    private const LATE = 2;

    public function __construct(private StandIn $standIn)
    {
    }

    /** @return int deeds that were done */
    public function round(): int
    {
        $person = StandIn::goesByClock() ? StandIn::person() : null;
        if ($person === null) {
            return 0;
        }
        $deliveries = Deliveries::now();
        $done = 0;
        foreach (OpenOrder::all()->rows as $open) {
            $turn = self::next($open, $deliveries);
            $order = $open->order();
            try {
                $turn === null ?: $this->standIn->turn(
                    $order,
                    $turn,
                    new Signed("clock-{$order->id}-{$order->version}", $person),
                );
                $done += $turn === null ? 0 : 1;
            } catch (Refusal) {
                // what cannot be done now is tried again in a minute
            }
        }

        return $done;
    }

    private static function next(OpenOrder $open, Deliveries $deliveries): ?Turn
    {
        $hour = CarbonImmutable::now(config()->string('pace.zone'))->hour;

        return match (true) {
            $open->isAsked() => Turn::answerTo($open->id),
            $hour >= self::BRING_FROM && $open->isComing() && self::isDue($open, $deliveries) => self::brings($open),
            $hour >= self::BILL_FROM && ! $open->isBilled() => Turn::billOf($open->id),
            default => null,
        };
    }

    private static function brings(OpenOrder $open): Turn
    {
        return match (true) {
            $open->state === PurchaseState::PartIn => Turn::Whole,
            $open->isWork => Turn::backOf($open->id),
            default => Turn::deliveryOf($open->id),
        };
    }

    private static function isDue(OpenOrder $open, Deliveries $deliveries): bool
    {
        $late = $open->id % self::EVERY === self::EVERY - 1 ? self::LATE : 0;

        return $open->expectedOn !== null
            && $deliveries->plant->workingDaysFrom($open->expectedOn, $late) <= $deliveries->today;
    }
}
