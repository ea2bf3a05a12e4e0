<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;

/**
 * What a supplier charges for work on pieces (trade.md W1): a price each, a set-up once, and a minimum. The set-up and
 * what is missing to the minimum are lumps: they are booked as the pieces come.
 */
final readonly class ServiceCharge
{
    private const FINE = 1_000_000; // pieces have six decimals at most

    /**
     * @param  string  $price  euros a piece
     * @param  int  $setup  cents, once
     * @param  int  $minimum  cents of the pieces, at least
     */
    public function __construct(public string $price, public int $setup = 0, public int $minimum = 0)
    {
    }

    /** Cents for so many, all of them paid for. */
    public function of(BigDecimal $pieces): int
    {
        return $pieces->isZero() ? 0 : Cents::of($pieces, $this->price) + $this->lumps($pieces);
    }

    /** Cents that do not depend on how many of those ordered are paid for in the end. */
    public function lumps(BigDecimal $ordered): int
    {
        return $this->setup + max(0, $this->minimum - Cents::of($ordered, $this->price));
    }

    /**
     * The lumps of a line, shared over the orders in it by pieces ordered: by largest remainder, ties by the lower
     * number.
     *
     * @param  array<int, BigDecimal>  $ordered  pieces by order
     * @return array<int, int> cents by order
     */
    public function shares(array $ordered): array
    {
        ksort($ordered);
        $all = BigDecimal::sum(BigDecimal::zero(), ...array_values($ordered));

        $weights = array_map(fn (BigDecimal $pieces): int => $pieces->multipliedBy(self::FINE)->toInt(), $ordered);

        return $weights === [] ? [] : Cents::split($this->lumps($all), $weights);
    }

    /**
     * Cents of an order up to now. A reject that is not paid saves nothing while the line is below the minimum.
     *
     * @param  int  $lumps  the order's share
     * @param  BigDecimal  $ordered  its pieces, above 0
     * @param  BigDecimal  $paid  that came and are paid
     * @param  BigDecimal  $unpaid  that came and are not
     * @param  int  $slack  cents by which the whole line may fall before it is below the minimum
     */
    public function upTo(
        int $lumps,
        BigDecimal $ordered,
        BigDecimal $paid,
        BigDecimal $unpaid,
        int $slack = 0,
    ): int {
        $rejected = max(0, Cents::of($unpaid, $this->price) - $slack);

        return Cents::of($paid, $this->price)
            + ($this->minimum > 0 ? $rejected : 0)
            + Cents::part($lumps, $paid->plus($unpaid), $ordered);
    }

    /**
     * Cents of an order alone up to now, all of its pieces paid for.
     *
     * @param  BigDecimal  $done  pieces that came
     * @param  BigDecimal  $expected  pieces that will have come in the end
     * @param  BigDecimal  $before  pieces besides that are paid for already, with their part of the lumps
     */
    public function ofOrder(BigDecimal $done, BigDecimal $expected, BigDecimal $before): int
    {
        if ($expected->isZero()) {
            return 0;
        }
        $all = $expected->plus($before);
        $lumps = $this->lumps($all);
        $own = $lumps - Cents::part($lumps, $before, $all);

        return $this->upTo($own, $expected, $done, BigDecimal::zero());
    }

    /** Cents by which the pieces of a line are above the minimum. */
    public function slack(BigDecimal $ordered): int
    {
        return max(0, Cents::of($ordered, $this->price) - $this->minimum);
    }
}
