<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Refused;

/** Money in the smallest coin, as whole numbers; the one place where amounts become coins. */
final class Cents
{
    /** Ten million million euros: the sum of thousands of such still fits its column. */
    private const MOST = 1_000_000_000_000_000;

    /**
     * The price of an amount: rounded once, half up.
     *
     * @param  string  $price per unit, in the main coin (euros)
     *
     * @throws Refused when it comes to more than can be meant
     */
    public static function of(BigDecimal $amount, string $price): int
    {
        $cents = $amount->multipliedBy($price)->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP);
        if ($cents->abs()->isGreaterThan(self::MOST)) {
            throw Refused::because(
                'That comes to '.$cents->dividedBy(
                    100,
                    0,
                    RoundingMode::DOWN,
                ).', more than can be meant. Check the quantity and the price.',
                'price',
            );
        }

        return $cents->toInt();
    }

    /** The part of a value that goes with part of a quantity, rounded half up; all of it when all goes. */
    public static function part(int $value, BigDecimal $part, BigDecimal $whole): int
    {
        return $part->multipliedBy($value)->dividedBy($whole, 0, RoundingMode::HALF_UP)->toInt();
    }

    /**
     * The parts of a value that go with parts of a quantity: by differences of running totals, so that they add up to
     * the whole to the last cent when the parts do.
     *
     * @template K of array-key
     *
     * @param  array<K, BigDecimal>  $parts
     * @return array<K, int>
     */
    public static function running(int $value, array $parts, BigDecimal $whole): array
    {
        $done = BigDecimal::zero();
        $given = 0;
        $shares = [];
        foreach ($parts as $key => $part) {
            $done = $done->plus($part);
            $shares[$key] = self::part($value, $done, $whole) - $given;
            $given += $shares[$key];
        }

        return $shares;
    }

    /**
     * Splits a value by weights so that the shares add up to it to the last cent
     * (largest remainder; of equal remainders the earlier share).
     *
     * @template K of array-key
     *
     * @param  non-empty-array<K, int|BigDecimal|BigRational>  $weights  each 0 or more; all zero splits evenly
     * @return array<K, int>
     */
    public static function split(int $value, array $weights): array
    {
        $weights = array_map(BigRational::of(...), $weights);
        $sum = BigRational::zero();
        foreach ($weights as $weight) {
            $sum = $sum->plus($weight);
        }
        if ($sum->isZero()) {
            return self::split($value, array_map(static fn (): int => 1, $weights));
        }
        $sign = $value < 0 ? -1 : 1;
        $shares = $remainders = [];
        foreach ($weights as $key => $weight) {
            $exact = $weight->multipliedBy(abs($value))->dividedBy($sum)->simplified();
            $shares[$key] = $exact->toScale(0, RoundingMode::DOWN)->toInt();
            $remainders[$key] = $exact->minus($shares[$key]);
        }
        $left = abs($value) - array_sum($shares);
        // stable since PHP 8.0: equal remainders keep their order
        uasort($remainders, static fn (BigRational $a, BigRational $b): int => $b->compareTo($a));
        foreach (array_slice(array_keys($remainders), 0, $left) as $key) {
            $shares[$key]++;
        }

        return array_map(static fn (int $share): int => $sign * $share, $shares);
    }
}
