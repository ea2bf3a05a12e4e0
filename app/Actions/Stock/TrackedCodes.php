<?php

namespace App\Actions\Stock;

use App\Models\Item;
use App\Models\Lot;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/** The lot or serials a receipt is booked under, as typed or scanned. */
final class TrackedCodes
{
    /**
     * @param  string  $codes  one code a line (or between commas); of several lots each with how much of it: "H-1 = 20"
     * @return non-empty-list<array{lot: int, quantity: BigDecimal}>
     *
     * @throws Refused when codes are missing, too many or doubled
     */
    public static function split(Item $item, BigDecimal $quantity, string $codes): array
    {
        $list = self::listed($codes);
        if (! $item->isTracked()) {
            return $list === [] ? [['lot' => 0, 'quantity' => $quantity]]
                : throw Refused::because("{$item->label()} is not tracked by lot. Leave the lot empty.", 'codes');
        }
        if ($item->tracking === Tracking::Lot) {
            return self::lots($item, $quantity, $list);
        }
        array_walk($list, self::assertCode(...));
        self::assertSerials($quantity, $list);

        return array_map(
            fn (string $code): array => ['lot' => self::lot($item, $code), 'quantity' => BigDecimal::one()],
            $list,
        );
    }

    /**
     * One lot has all; of several each says how much of it came.
     *
     * @param  list<string>  $list
     * @return non-empty-list<array{lot: int, quantity: BigDecimal}>
     *
     * @throws Refused
     */
    private static function lots(Item $item, BigDecimal $quantity, array $list): array
    {
        if (count($list) === 1 && ! str_contains($list[0], '=')) {
            self::assertCode($list[0]);

            return [['lot' => self::lot($item, $list[0]), 'quantity' => $quantity]];
        }
        $lots = [];
        $left = $quantity;
        foreach ($list as $typed) {
            [$code, $amount] = [...array_map(trim(...), explode('=', $typed, 2)), ''];
            if ($amount === '') {
                throw Refused::because("Say how much came of lot {$code}: {$code} = 20.", 'codes');
            }
            self::assertCode($code);
            $of = $item->quantity($amount)->amount;
            $lots[] = ['lot' => self::lot($item, $code), 'quantity' => $of];
            $left = $left->minus($of);
        }
        if ($lots === []) {
            throw Refused::because("{$item->label()} is tracked by lot. Type the lot, or several with how much of "
                .'each.', 'codes');
        }
        if (! $left->isZero() || count(array_unique(array_column($lots, 'lot'))) < count($lots)) {
            throw Refused::because(
                'The lots come to '.Amount::plain($quantity->minus($left)).', '.Amount::plain($quantity).' came.',
                'codes',
            );
        }

        return $lots;
    }

    /** @return list<string> as they were typed, parted by lines or commas */
    public static function listed(string $codes): array
    {
        $parts = array_map(trim(...), preg_split('/[\r\n,;]+/', $codes) ?: []);

        return array_values(array_filter($parts, fn (string $code): bool => $code !== ''));
    }

    /** @throws Refused */
    private static function assertCode(string $code): void
    {
        if (mb_strlen($code) > 60) {
            throw Refused::because("{$code}: a lot or serial has 60 characters at most.", 'codes');
        }
        Code::of($code, 'codes');
    }

    /**
     * One for each piece, each once.
     *
     * @param  list<string>  $list
     *
     * @phpstan-assert non-empty-list<string> $list
     *
     * @throws Refused
     */
    private static function assertSerials(BigDecimal $quantity, array $list): void
    {
        $pieces = Amount::plain($quantity);
        $left = $quantity->minus(count($list));
        if ($list === [] || ! $left->isZero()) {
            $over = Amount::plain($left->negated());
            throw Refused::because($left->isPositive()
                ? Amount::plain($left)." of {$pieces} serials are still to be named."
                : count($list)." serials for {$pieces} pieces. Take {$over} out.", 'codes');
        }
        $times = array_count_values(array_map(Code::keyOf(...), $list));
        $twice = array_filter($list, fn (string $code): bool => $times[Code::keyOf($code)] > 1);
        if ($twice !== []) {
            throw Refused::because('A serial is named twice: '.implode(', ', $twice).'.', 'codes');
        }
    }

    /**
     * A serial is one piece: it comes in once. Asked after its balance is locked.
     *
     * @param  list<array{lot: int, quantity: BigDecimal}>  $lots
     */
    public static function assertSerialsAreNew(Item $item, array $lots): void
    {
        if ($item->tracking !== Tracking::Serial) {
            return;
        }
        $ids = array_column($lots, 'lot');
        $known = Lot::query()
            ->whereKey($ids)
            ->whereIn('id', DB::table('balances')->whereIn('lot_id', $ids)->where('quantity', '>', 0)->select('lot_id'))
            ->pluck('code');
        if ($known->isNotEmpty()) {
            throw Refused::because("In stock already: {$known->join(', ')}. Check the serial.", 'codes');
        }
    }

    /**
     * What the supplier says of the lots.
     *
     * @param  list<array{lot: int, quantity: BigDecimal}>  $lots
     */
    public static function dated(array $lots, ?string $expiresOn, string $supplierLot): void
    {
        $says = array_filter(['expires_on' => $expiresOn, 'supplier_lot' => $supplierLot]);
        if ($says !== []) {
            Lot::query()->whereKey(array_filter(array_column($lots, 'lot')))->update($says);
        }
    }

    public static function unitId(Item $item, ?string $unit): int
    {
        return $unit === null || $unit === $item->unit->code ? $item->unit_id
            : $item->units->firstOrFail(fn ($other): bool => $other->unit->code === $unit)->unit_id;
    }

    private static function lot(Item $item, string $code): int
    {
        return Lots::of($item->id, Code::of($code, 'codes'))->id;
    }
}
