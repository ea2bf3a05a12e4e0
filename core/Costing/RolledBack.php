<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\ShareRule;

/** What of a rolled-up cost is carried by something that comes back beside the product (trade.md, W2, W3 and W33). */
final readonly class RolledBack
{
    /**
     * @param  BigRational  $quantity  for the pieces rolled up
     * @param  ExactCost  $carries  a set value off the material, a share off all kinds alike
     */
    private function __construct(public ComesBack $line, public BigRational $quantity, public ExactCost $carries)
    {
    }

    /**
     * @param  RolledCost  $of  all that goes in
     * @param  BigDecimal  $worth  euros a stock unit of the product
     * @param  list<array{ComesBack, BigRational}>  $lines  with how much comes
     * @return list<self>
     */
    public static function all(RolledCost $of, BigDecimal $worth, array $lines): array
    {
        $back = [];
        $left = $of->gross();
        foreach ($lines as [$line, $quantity]) {
            if ($line->rule === ShareRule::SetValue) {
                $credit = $quantity->multipliedBy($line->share)->multipliedBy(100);
                $most = $left->total();
                $carries = ExactCost::of(material: $credit->isGreaterThan($most) ? $most : $credit);
                $left = $left->plus($carries->times(BigRational::of(-1)));
                $back[] = new self($line, $quantity, $carries);
            }
        }
        $joint = array_values(array_filter($lines, fn (array $one): bool => $one[0]->rule !== ShareRule::SetValue));
        $own = BigRational::of($of->pieces);
        foreach (self::parts($own, $worth, $joint) as $at => $part) {
            $back[] = new self($joint[$at][0], $joint[$at][1], $left->times($part));
        }

        return $back;
    }

    /**
     * @param  list<array{ComesBack, BigRational}>  $joint
     * @return list<BigRational> of what is left, from 0 to 1, by co-product
     */
    private static function parts(BigRational $pieces, BigDecimal $worth, array $joint): array
    {
        if ($joint === []) {
            return [];
        }
        $rule = $joint[0][0]->rule;
        if ($rule === ShareRule::Percent) {
            return array_map(fn (array $one): BigRational => BigRational::of($one[0]->share)->dividedBy(100), $joint);
        }
        $weight = fn (BigRational $quantity, BigDecimal $value): BigRational => $rule === ShareRule::Value
            ? $quantity->multipliedBy($value)
            : $quantity;
        $weights = array_map(fn (array $one): BigRational => $weight($one[1], $one[0]->share), $joint);
        $sum = array_reduce(
            $weights,
            fn (BigRational $sum, BigRational $one): BigRational => $sum->plus($one),
            $weight($pieces, $worth),
        );

        return array_map(
            fn (BigRational $one): BigRational => $sum->isZero() ? BigRational::zero() : $one->dividedBy($sum),
            $weights,
        );
    }
}
