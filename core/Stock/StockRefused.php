<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** A move stock does not allow. */
final class StockRefused extends Refused
{
    public static function notEnough(string $what, BigDecimal $asked, BigDecimal $there): self
    {
        return self::because(sprintf('%s of %s asked for, %s there. Take what is there, or book in what came first.',
            Amount::plain($asked), $what, Amount::plain($there)), 'quantity');
    }

    public static function promised(string $what, BigDecimal $asked, BigDecimal $there, BigDecimal $promised): self
    {
        return self::because(
            sprintf(
                '%s of %s asked for. %s are there, but %s of them are promised to customer lines. Untie a line '
                    .'first, or take %s.',
                Amount::plain($asked),
                $what,
                Amount::plain($there),
                Amount::plain($promised),
                Amount::plain($there->minus($promised)),
            ),
            'quantity',
        );
    }

    public static function valueMixed(string $what): self
    {
        return self::because(
            "{$what}: what came in has since been mixed with other receipts and partly used, so it cannot go back at "
                .'its own value. Reverse the later bookings of this item first.',
        );
    }

    public static function notFree(string $what, Condition $condition): self
    {
        return self::because("{$what} is ".($condition === Condition::Blocked ? 'blocked'
            : 'in inspection').'. Only free stock can be used.', 'splits');
    }

    /** @param  list<int>  $bookings  that used it, newest first */
    public static function usedSince(string $what, array $bookings): self
    {
        return self::because(
            "Of this {$what} some has been used since. Reverse booking "
                .implode(', then ', array_slice($bookings, 0, 5))
                .' first.',
        );
    }

    /** @param  list<string>  $orders  that it is kept for */
    public static function reserved(string $what, BigDecimal $asked, BigDecimal $free, array $orders): self
    {
        return self::because(
            sprintf(
                '%s of %s asked for, %s are free: the rest is kept for order %s. Give that reservation up first, or '
                    .'take less.',
                Amount::plain($asked),
                $what,
                Amount::plain($free),
                implode(' and ', $orders),
            ),
            'quantity',
        );
    }

    public static function expires(string $lot, string $expiresOn, int $minimumDays): self
    {
        return self::because(
            "Lot {$lot} expires on {$expiresOn}"
                .($minimumDays > 0 ? ", and must have {$minimumDays} days left" : '')
                .'. Take another lot, or give it a new date after a re-test.',
            'splits',
        );
    }

    public static function unknownLot(string $code, string $what, ?string $belongsTo): self
    {
        return self::because(
            $belongsTo === null
                ? "There is no lot {$code} of {$what}. Check the code, or book it in first."
                : "{$code} is a lot of {$belongsTo}, not of {$what}. Take one of its own.",
            'splits',
        );
    }

    public static function usedUp(string $code, string $where): self
    {
        return self::because(
            "{$code} is no longer in stock: {$where}. Check the code, or correct that booking.",
            'splits',
        );
    }

    /** @param  list<string>  $orders */
    public static function kept(string $what, array $orders): self
    {
        return self::because(
            "Some of this {$what} is kept for order "
                .implode(' and ', $orders)
                .'. Give that reservation up first, or take less.',
            'quantity',
        );
    }
}
