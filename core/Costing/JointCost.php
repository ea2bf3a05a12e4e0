<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Structure\ShareRule;

/**
 * The cost of an order shared over what it gives: first what goes at a set value, the rest by the rule of the
 * co-products, which holds for the product too (trade.md, W2 and W3; IAS 2.14: by relative sales value, by-products at
 * net realisable value off the cost of the main product).
 */
final class JointCost
{
    /**
     * What each output is planned to carry: its planned unit cost times what is planned of it.
     *
     * @param  int  $cost  cents, of the whole order
     * @param  non-empty-array<int, JointOutput>  $outputs  the product first
     * @return array<int, int> cents, by output; together the cost
     */
    public static function planned(int $cost, array $outputs): array
    {
        $shares = [];
        $left = $cost;
        foreach ($outputs as $key => $output) {
            if ($output->isCredited()) {
                $shares[$key] = max(0, min($output->credit(), $left));
                $left -= $shares[$key];
            }
        }

        return self::inOrder($outputs, $shares + self::shared($left, $outputs));
    }

    /**
     * What each output carries in the end, by what came of it good.
     *
     * @param  int  $cost  cents, all that was put in
     * @param  non-empty-array<int, JointOutput>  $outputs  the product first
     * @param  array<int, int>  $credited  cents booked of those at a set value, by output: they are not valued again
     * @return array<int, int> cents, by output; together the cost
     */
    public static function settled(int $cost, array $outputs, array $credited): array
    {
        return self::inOrder($outputs, $credited + self::shared($cost - array_sum($credited), $outputs));
    }

    /**
     * @param  non-empty-array<int, JointOutput>  $outputs
     * @return array<int, int> of those that are not credited
     */
    private static function shared(int $cost, array $outputs): array
    {
        $sharing = array_filter($outputs, fn (JointOutput $output): bool => ! $output->isCredited());
        if ($sharing === []) {
            throw new \LogicException('An order has a product.');
        }
        $rule = self::rule($sharing);
        $weights = $rule === ShareRule::Percent ? self::percents($sharing) : array_map(
            fn (JointOutput $one): BigRational => BigRational::of($one->quantity)
                ->multipliedBy($rule === ShareRule::Value ? $one->share : BigDecimal::one()),
            $sharing,
        );
        if (array_filter($weights, fn (BigRational $weight): bool => ! $weight->isZero()) === []) {
            // nothing came, or nothing is worth anything: the product bears it
            $weights[array_key_first($weights)] = BigRational::one();
        }

        return Cents::split($cost, $weights);
    }

    /**
     * The product says none of its own: it goes by the co-products'.
     *
     * @param  non-empty-array<int, JointOutput>  $sharing
     */
    private static function rule(array $sharing): ShareRule
    {
        foreach ($sharing as $output) {
            if ($output->rule !== ShareRule::Rest) {
                return $output->rule;
            }
        }

        return ShareRule::Quantity;
    }

    /**
     * The product has what the others leave; of which nothing came, that gives its part to the others.
     *
     * @param  non-empty-array<int, JointOutput>  $sharing
     * @return non-empty-array<int, BigRational>
     */
    private static function percents(array $sharing): array
    {
        $left = BigRational::of(100);
        foreach ($sharing as $output) {
            $left = $output->rule === ShareRule::Rest ? $left : $left->minus($output->share);
        }

        return array_map(fn (JointOutput $one): BigRational => match (true) {
            $one->quantity->isZero() => BigRational::zero(),
            $one->rule === ShareRule::Rest => $left,
            default => BigRational::of($one->share),
        }, $sharing);
    }

    /**
     * @param  array<int, JointOutput>  $outputs
     * @param  array<int, int>  $shares
     * @return array<int, int>
     */
    private static function inOrder(array $outputs, array $shares): array
    {
        $sorted = [];
        foreach (array_keys($outputs) as $key) {
            $sorted[$key] = $shares[$key];
        }

        return $sorted;
    }
}
