<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Freight, duty and the like, spread over goods to the last cent (W6; IAS 2.11: costs of purchase). */
final class Charge
{
    /** Weights are whole numbers of millionths. */
    private const SCALE = 6;

    /**
     * @template K of array-key
     *
     * @param  int  $cents  below zero for a credit
     * @param  non-empty-array<K, ChargedLine>  $lines
     * @return array<K, int> cents of each
     *
     * @throws Refused where the goods do not say by what it is to be spread
     */
    public static function spread(int $cents, SpreadBy $by, array $lines): array
    {
        return Cents::split($cents, match ($by) {
            SpreadBy::Value => array_map(static fn (ChargedLine $line): int => max(0, $line->value), $lines),
            SpreadBy::Quantity => self::quantities($lines),
            SpreadBy::Weight => self::by($lines, 'weight', static fn (ChargedLine $line): ?BigDecimal => $line->weight),
            SpreadBy::Volume => self::by($lines, 'volume', static fn (ChargedLine $line): ?BigDecimal => $line->volume),
            SpreadBy::Evenly => array_map(static fn (): int => 1, $lines),
        });
    }

    /**
     * @template K of array-key
     *
     * @param  non-empty-array<K, ChargedLine>  $lines
     * @return non-empty-array<K, int>
     */
    private static function quantities(array $lines): array
    {
        $units = array_unique(array_map(static fn (ChargedLine $line): string => $line->unit, $lines));
        if (count($units) > 1) {
            throw Refused::because(
                'They are counted in '.implode(' and ', $units).': spread it by value, by weight or evenly.',
                'spread',
            );
        }

        return array_map(static fn (ChargedLine $line): int => self::whole($line->quantity), $lines);
    }

    /**
     * @template K of array-key
     *
     * @param  non-empty-array<K, ChargedLine>  $lines
     * @param  callable(ChargedLine): ?BigDecimal  $of
     * @return non-empty-array<K, int>
     */
    private static function by(array $lines, string $what, callable $of): array
    {
        return array_map(static function (ChargedLine $line) use ($what, $of): int {
            $each = $of($line) ?? throw Refused::because(
                "{$line->item} has no {$what}. Type it on its page, or spread by value or evenly.",
                'spread',
            );

            return self::whole($line->quantity->multipliedBy($each));
        }, $lines);
    }

    private static function whole(BigDecimal $amount): int
    {
        return $amount->multipliedBy(10 ** self::SCALE)->toScale(0, RoundingMode::HALF_UP)->toInt();
    }
}
