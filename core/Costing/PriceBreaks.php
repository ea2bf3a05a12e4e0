<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** What a supplier asks by quantity: the price of the break that is reached holds for all pieces (trade.md, W31). */
final readonly class PriceBreaks
{
    /** @param  list<array{BigDecimal, BigDecimal}>  $breaks  from how many, euros each; rising, at least one */
    private function __construct(private array $breaks)
    {
    }

    /**
     * @param  array<array-key, array{BigDecimal|string, BigDecimal|string}>  $breaks  from how many, euros each
     *
     * @throws Refused when two begin at one quantity
     */
    public static function of(array $breaks): ?self
    {
        $sorted = array_map(
            static fn (array $one): array => [BigDecimal::of($one[0]), BigDecimal::of($one[1])],
            array_values($breaks),
        );
        usort($sorted, static fn (array $a, array $b): int => $a[0]->compareTo($b[0]));
        foreach ($sorted as $i => [$from]) {
            if ($i > 0 && $from->isEqualTo($sorted[$i - 1][0])) {
                throw Refused::because(
                    'Two prices begin at '.Amount::plain($from).'. Each quantity has one.',
                    'prices',
                );
            }
        }

        return $sorted === [] ? null : new self($sorted);
    }

    /**
     * As they are typed and written: "5.00 10:4.50 50:3.75"; the first holds from nothing on.
     *
     * @throws Refused beside the field when it is not written so
     */
    public static function read(string $typed): ?self
    {
        $breaks = [];
        foreach (preg_split('/[\s;|]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            if (preg_match('/^(?:(\d{1,9}(?:\.\d{1,6})?):)?(\d{1,7}(?:\.\d{1,6})?)$/D', $one, $part) !== 1) {
                throw Refused::because("'{$one}' is not a price such as 5.00, or 10:4.50 from ten on.", 'prices');
            }
            $breaks[] = [$part[1] === '' ? '0' : $part[1], $part[2]];
        }

        return self::of($breaks);
    }

    /** "5 10:4.5 50:3.75" */
    public function written(): string
    {
        return implode(' ', array_map(
            static fn (array $one): string => ($one[0]->isZero() ? '' : Amount::plain($one[0]).':')
                .Amount::plain($one[1]),
            $this->breaks,
        ));
    }

    /** @return list<array{BigDecimal, BigDecimal}> from how many, euros each */
    public function all(): array
    {
        return $this->breaks;
    }

    /** Euros each when so many are ordered; below the first break its price. */
    public function price(BigDecimal $quantity): BigDecimal
    {
        $price = $this->breaks[0][1];
        foreach ($this->breaks as [$from, $each]) {
            $price = $quantity->isGreaterThanOrEqualTo($from) ? $each : $price;
        }

        return $price;
    }

    /** Cents for so many. */
    public function cost(BigDecimal $quantity): int
    {
        return Cents::of($quantity, (string) $this->price($quantity));
    }

    /**
     * The nearest quantity above that costs less than this one does.
     *
     * @return array{more: BigDecimal, saves: int}|null  how many more, and by how many cents all is cheaper
     */
    public function cheaper(BigDecimal $quantity): ?array
    {
        foreach ($this->breaks as [$from]) {
            $saves = $this->cost($quantity) - $this->cost($from);
            if ($from->isGreaterThan($quantity) && $saves > 0) {
                return ['more' => $from->minus($quantity), 'saves' => $saves];
            }
        }

        return null;
    }
}
