<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

use KeepPace\Core\Refused;

/** An amount that cannot be counted in the unit it was given in. */
final class QuantityRefused extends Refused
{
    public static function tooFine(string $amount, Unit $unit): self
    {
        return self::because($unit->decimals === 0
            ? "{$amount} {$unit->code}: {$unit->name} is counted whole. Type a whole number."
            : "{$amount} {$unit->code}: {$unit->name} is counted with {$unit->decimals} decimals at most.", 'quantity');
    }

    public static function noNumber(string $typed): self
    {
        return self::because(self::saysOf($typed), 'quantity');
    }

    /** What is wrong with a text that should be a number. */
    public static function saysOf(string $typed): string
    {
        $shown = mb_strimwidth($typed, 0, 30, '…');

        return preg_match('/^-?[\d.]*\d,\d[\d,]*$/D', $typed) === 1
            ? "{$shown} has a comma. Write decimals with a point, such as 5.5, and no sign for thousands."
            : "'{$shown}' is not a plain number. Type one such as 2.5.";
    }

    public static function tooMuch(string $typed, Unit $unit): self
    {
        return self::because("{$typed} {$unit->code} is more than can be meant.", 'quantity');
    }

    public static function noConversion(string $unit, string $stockUnit, string $item): self
    {
        return self::because(
            "{$item} is not counted in {$unit}. Use {$stockUnit}, or add the conversion to the item first.",
            'unit',
        );
    }

    public static function unlike(Unit $one, Unit $other): self
    {
        return self::because("What is in {$one->code} and what is in {$other->code} cannot be added up.", 'unit');
    }
}
