<?php

namespace App\Actions\Stock;

use App\Models\Item;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\Charge;
use KeepPace\Core\Costing\ChargedLine;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** A charge spread over goods, line by line, and within a line over the moves by which they came (W6). */
final class SpreadOver
{
    /**
     * Lots of one line are one line.
     *
     * @param  non-empty-list<Received>  $received  a delivery
     * @return list<array{Received, int}> cents of each
     *
     * @throws Refused where the goods do not say by what it is to be spread
     */
    public static function receipts(int $cents, SpreadBy $by, array $received): array
    {
        $groups = [];
        foreach ($received as $one) {
            $groups[$one->group()][] = $one;
        }

        return self::lines($cents, $by, array_values(array_map(
            fn (array $group): array => [self::came($group), $group],
            $groups,
        )));
    }

    /**
     * @param  non-empty-list<array{ChargedLine, list<Received>}>  $lines
     * @return list<array{Received, int}>
     *
     * @throws Refused
     */
    public static function lines(int $cents, SpreadBy $by, array $lines): array
    {
        $shares = Charge::spread($cents, $by, array_column($lines, 0));
        $all = [];
        foreach ($lines as $i => [, $received]) {
            array_push($all, ...self::within($shares[$i], $received));
        }

        return $all;
    }

    /**
     * @param  list<Received>  $received  of one line
     * @return list<array{Received, int}>
     */
    public static function within(int $cents, array $received): array
    {
        $shares = Cents::running($cents, array_map(fn (Received $one): BigDecimal => $one->quantity, $received),
            self::sum($received));

        return array_map(fn (Received $one, int $share): array => [$one, $share], $received, $shares);
    }

    /** @param  int  $cents  they were bought for */
    public static function line(Item $item, BigDecimal $quantity, int $cents): ChargedLine
    {
        $decimal = fn (?string $value): ?BigDecimal => $value === null ? null : BigDecimal::of($value);

        return new ChargedLine(
            $item->label(),
            $item->unit->code,
            $quantity,
            $cents,
            $decimal($item->weight),
            $decimal($item->volume),
        );
    }

    /**
     * What they were bought for, whatever they are kept at.
     *
     * @param  non-empty-list<Received>  $group  of one line
     */
    private static function came(array $group): ChargedLine
    {
        $quantity = self::sum($group);
        $line = $group[0]->work ?? PurchaseLine::query()->find($group[0]->move?->purchase_line_id);
        $item = $group[0]->work->item ?? $group[0]->move->item ?? throw new \LogicException('It is of an item.');

        return self::line($item, $quantity, $line === null
            ? array_sum(array_map(fn (Received $one): int => $one->move->value ?? 0, $group))
            : Cents::of($quantity, $line->price));
    }

    /** @param  list<Received>  $received */
    private static function sum(array $received): BigDecimal
    {
        return BigDecimal::sum(0, ...array_map(fn (Received $one): BigDecimal => $one->quantity, $received));
    }
}
