<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** What a customer line, and what covers it, does not allow. */
final class CoverRefused extends Refused
{
    public static function allCovered(): self
    {
        return self::because('Every line is covered already.');
    }

    public static function notSoMuchOpen(BigDecimal $asked, BigDecimal $open, int $line): self
    {
        return self::because(
            sprintf(
                '%s asked for, %s of line %d are not covered yet.',
                Amount::plain($asked),
                Amount::plain($open),
                $line,
            ),
            'quantity',
        );
    }

    public static function notSoMuchInStock(BigDecimal $wanted, BigDecimal $free, string $item): self
    {
        return self::because(
            sprintf(
                '%s wanted, %s of %s are free in stock. Take those, or make an order for the rest.',
                Amount::plain($wanted),
                Amount::plain($free->isNegative() ? BigDecimal::zero() : $free),
                $item,
            ),
            'quantity',
        );
    }

    /** Two orders would wait for each other. */
    public static function ring(string $gives, string $wants): self
    {
        return self::because($gives === $wants
            ? "Order {$gives} cannot supply itself. Choose another supply."
            : "Order {$gives} gets something from order {$wants} already, so it cannot supply it: each would wait for "
                .'the other. Choose another supply.');
    }

    public static function makesOther(string $order, string $item): self
    {
        return self::because(
            "Order {$order} does not make {$item} any more. Choose an open order of that item.",
            'order',
        );
    }

    /** @param  string  $where  the order or the line that has no more */
    public static function promised(BigDecimal $asked, BigDecimal $free, string $where): self
    {
        return self::because(
            sprintf(
                '%s asked for, %s of %s are not promised yet.',
                Amount::plain($asked),
                Amount::plain($free),
                $where,
            ),
            'quantity',
        );
    }

    /**
     * @param  array<string, BigDecimal>  $limits  what is promised to nobody, by where
     *
     * @throws self naming the first that has less
     */
    public static function beyond(BigDecimal $asked, array $limits): void
    {
        foreach ($limits as $where => $limit) {
            if ($asked->isGreaterThan($limit)) {
                throw self::promised($asked, $limit, $where);
            }
        }
    }

    public static function untied(): self
    {
        return self::because('This cover has been used up or untied already.');
    }

    public static function nothingOpen(): self
    {
        return self::because('Nothing of this line is open any more.');
    }

    public static function otherLine(): self
    {
        return self::because('Choose another open line of the same item.', 'other');
    }

    /** @param  BigDecimal  $bound  what of the line is bound already */
    public static function lineBound(BigDecimal $bound): self
    {
        $amount = Amount::plain($bound);

        return self::because(
            "{$amount} are shipped, covered or no longer wanted already. Untie the cover first, or keep at least "
                ."{$amount}.",
            'quantity',
        );
    }

    public static function retired(string $customer): self
    {
        return self::because("{$customer} is retired. Deal with them again first, on their page.", 'customer_id');
    }

    /** @param  list<string>  $open  what would be left of the order */
    public static function wholeOnly(string $customer, array $open): self
    {
        return self::because(
            "{$customer} takes whole orders only, and ".implode(' and ', $open).' would be left. Wait for it, or say '
                .'that some goes all the same.',
            'in_parts',
        );
    }

    public static function nothingToShip(): self
    {
        return self::because('Nothing was chosen to ship. Type a quantity beside a line.');
    }

    /** @param  int  $customerOrders  the order's pieces are for */
    public static function notForOne(string $order, int $customerOrders): self
    {
        return self::because(
            $customerOrders === 0
                ? "Order {$order} is for no customer line any more. Receive it, then ship from stock."
                : "Order {$order} is for several customer orders. Receive it, then ship each.",
        );
    }

    public static function notSoMuchToShip(BigDecimal $asked, BigDecimal $open): self
    {
        return self::because(
            sprintf(
                '%s to ship, %s open on this line. Ship no more than that, or change the line first.',
                Amount::plain($asked),
                Amount::plain($open),
            ),
        );
    }
}
