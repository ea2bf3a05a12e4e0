<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use KeepPace\Core\Refused;

/** What a supplier's bill does not allow. */
final class BillRefused extends Refused
{
    public static function neverWent(string $line, string $credited, string $back): self
    {
        return self::because(
            ($back === '0' ? "Nothing of {$line} went back" : "{$back} of {$line} went back")
                ." and is not credited yet, {$credited} are credited. Book what went back first, or let ours hold.",
        );
    }

    public static function neverCame(string $line, string $billed, string $owed): self
    {
        return self::because(
            $owed === '0'
                ? "Nothing of {$line} is here and not billed, {$billed} are billed. Take what is here, or send the "
                    .'bill back.'
                : "{$owed} of {$line} are here and not billed, {$billed} are billed. Take what is here, or send the "
                    .'bill back.',
        );
    }

    /** @param  string  $state  how far the earlier one is */
    public static function sentBefore(string $supplier, string $number, string $on, string $state): self
    {
        return self::because(
            "{$supplier} sent bill {$number} before: of {$on}, {$state}. Look at that one, or type the number that "
                .'stands on this paper.',
            'number',
        );
    }

    public static function nothingOnIt(): self
    {
        return self::because('Nothing stands on it: type what is billed beside a line, or a charge.');
    }

    public static function otherTotal(string $lines, string $total): self
    {
        return self::because("Its lines come to {$lines} €, its total is {$total} €. Look which is right.", 'total');
    }

    public static function notTheirs(string $line): self
    {
        return self::because("{$line} is of another supplier.");
    }

    public static function notOpen(string $number, BillState $state): self
    {
        return self::because("Bill {$number} is {$state->label()} already.");
    }

    public static function nothingTaken(): self
    {
        return self::because('Nothing of it would be booked. Send it back instead.');
    }

    /** A charge has to lie on goods. */
    public static function chargeOnNothing(string $charge): self
    {
        return self::because("{$charge} lies on no goods that came: there is nothing to spread it over.");
    }
}
