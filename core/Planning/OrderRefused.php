<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** What an order does not allow. */
final class OrderRefused extends Refused
{
    /** @throws self when the order as it stands does not allow the deed */
    public static function unless(OrderDeed $deed, string $number, OrderState $state, bool $isHeld): void
    {
        $why = $deed->whyNot($number, $state, $isHeld);
        if ($why !== null) {
            throw self::because($why);
        }
    }

    public static function notMade(string $item, string $kind): self
    {
        return self::because(
            "{$item} is {$kind}, not made here. Buy it, or give it a structure and a routing.",
            'item',
        );
    }

    public static function takesNoCost(string $order, OrderState $state): self
    {
        return self::because($state->isFirm()
            ? "Order {$order} is firm: cost goes into it once it is released. Release it first."
            : "Order {$order} is {$state->value}: nothing is bought for it any more.");
    }

    /** @param  int  $room  free numbers before the step */
    public static function noRoomBefore(int $step, int $room, int $count): self
    {
        $steps = $count === 1 ? '1 step' : "{$count} steps";

        return self::because(
            "Before step {$step} come {$steps} of phantoms, and between the numbers there is room for {$room}. "
                .'Give the step a higher number in its routing.',
            'item',
        );
    }

    public static function nothingWanted(): self
    {
        return self::because('The quantity must be above 0. To give an order up, cancel it.', 'quantity');
    }

    /** @param  BigDecimal  $bound  pieces that are spoken for */
    public static function tooFew(BigDecimal $bound): self
    {
        $amount = Amount::plain($bound);

        return self::because(
            "{$amount} are promised to customer lines, received or scrapped already. Untie a line first, or keep at "
                ."least {$amount}.",
            'quantity',
        );
    }

    /** @param  BigDecimal  $free  pieces that have not begun */
    public static function begun(BigDecimal $free): self
    {
        $amount = Amount::plain($free);

        return self::because("Only {$amount} have not begun yet. Take off no more than that.", 'quantity');
    }

    public static function notSplitSo(BigDecimal $free, BigDecimal $all): self
    {
        return self::because(
            sprintf(
                '%s of %s pieces have not begun. Split off some of these, and leave at least one.',
                Amount::plain($free),
                Amount::plain($all),
            ),
            'quantity',
        );
    }

    public static function notSoShort(string $order, BigDecimal $short): self
    {
        $amount = Amount::plain($short);

        return self::because("Order {$order} is short by {$amount}. Cure no more than that.", 'quantity');
    }

    public static function noneFree(string $item, BigDecimal $free): self
    {
        $amount = Amount::plain($free->isNegative() ? BigDecimal::zero() : $free);

        return self::because("{$amount} of {$item} are free in stock.", 'quantity');
    }

    public static function nobodyWaits(string $order): self
    {
        return self::because(
            "No customer line counts on order {$order} for these. Accept it, or make them again.",
            'quantity',
        );
    }

    public static function notTakenOut(string $order, OrderState $state): self
    {
        return self::because(
            "Order {$order} is {$state->value}: a share is taken out of it only before it is released. Split it "
                .'instead.',
        );
    }

    public static function forItAlone(string $order): self
    {
        return self::because("Order {$order} is for that line alone: there is nothing to take it out of.");
    }

    public static function nobodyWaitsFor(): self
    {
        return self::because('No released order waits for what comes in. Take it into stock.', 'quantity');
    }

    public static function nothingToReceive(string $order): self
    {
        return self::because("Nothing of order {$order} comes in: every quantity is empty or 0.", 'quantity');
    }

    public static function sharedAlready(string $order, string $item): self
    {
        return self::because(
            "Order {$order} is closed: its cost was shared over what had come of {$item}. Reverse its closing first.",
        );
    }

    /** @param  list<string>  $left  amounts with their items */
    public static function stillToCome(string $order, array $left): self
    {
        return self::because(
            "Still to come for order {$order}: ".implode(', ', $left).'. Book it, or say that it is not waited for: '
                .'what is bought for it alone and comes later is variance.',
            'nothing_more',
        );
    }

    public static function notGood(BigDecimal $asked, BigDecimal $good): self
    {
        return self::because(
            sprintf(
                '%s to receive, %s good at the last step. Count the good ones there first.',
                Amount::plain($asked),
                Amount::plain($good),
            ),
            'quantity',
        );
    }

    public static function used(BigDecimal $used): self
    {
        $amount = Amount::plain($used);

        return self::because("{$amount} are used already. Plan no less, or reverse the issue first.", 'quantity');
    }

    public static function allUsed(): self
    {
        return self::because('All of it is used already. Reverse the issue first.', 'item');
    }

    public static function notSoManyTaken(BigDecimal $asked, BigDecimal $open): self
    {
        return self::because(
            Amount::plain($asked).' is more than the '.Amount::plain($open).' it still takes.',
            'quantity',
        );
    }

    public static function madeOfNothing(string $item): self
    {
        return self::because("{$item} is made of nothing that is known: it has no structure in force.", 'quantity');
    }

    public static function noStandIn(string $item): self
    {
        return self::because(
            "{$item} cannot stand in for it. Choose another item that is kept in stock.",
            'item',
        );
    }

    public static function neverIssued(string $item, string $kind): self
    {
        return self::because(
            "{$item} is {$kind}: it is never issued to an order. Choose an item that is kept in stock.",
            'item',
        );
    }

    public static function isTheProduct(string $order): self
    {
        return self::because("That is what order {$order} makes: change the quantity of the order.");
    }

    public static function cameBack(BigDecimal $came): self
    {
        return self::because(
            Amount::plain($came).' came back already. Take that back first, or plan no less.',
            'quantity',
        );
    }

    public static function standsThere(string $order): self
    {
        return self::because("Order {$order} stands there already.");
    }

    public static function listChanged(): self
    {
        return self::because('One of the orders is no longer open. Look at the list anew.');
    }

    public static function orderCame(): self
    {
        return self::because('An order came meanwhile. Look at the list anew.');
    }

    public static function nothingChosen(): self
    {
        return self::because('No order was chosen. Tick the ones to release.', 'orders');
    }

    /** @param  string  $order  one that a deed made, which is to be reversed */
    public static function goesOn(string $order, OrderState $state): self
    {
        return self::because(
            "Order {$order}, made by this, is {$state->value} by now. Reverse that first, or keep the order and untie "
                .'the line from it.',
        );
    }

    public static function nothingThere(string $order, string $step): self
    {
        return self::because("Nothing has reached {$step} of order {$order} yet.");
    }

    public static function nothingCounted(): self
    {
        return self::because('Nothing was counted. Type how many are good, scrap or passed on.', 'good');
    }

    public static function scrapUnexplained(): self
    {
        return self::because('Say why the pieces are scrap.', 'reason');
    }
}
