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
     * @param  string  $codes  one code a line (or between commas)
     * @return non-empty-list<array{lot: int, quantity: BigDecimal}>
     *
     * @throws Refused when codes are missing, too many or doubled
     */
    public static function split(Item $item, BigDecimal $quantity, string $codes): array
    {
        $list = array_values(array_filter(array_map(trim(...), preg_split('/[\r\n,;]+/', $codes) ?: []),
            fn (string $code): bool => $code !== ''));
        if (! $item->isTracked()) {
            return $list === [] ? [['lot' => 0, 'quantity' => $quantity]]
                : throw Refused::because("{$item->label()} is not tracked by lot. Leave the lot empty.", 'codes');
        }
        foreach ($list as $code) {
            if (mb_strlen($code) > 60) {
                throw Refused::because("{$code}: a lot or serial has 60 characters at most.", 'codes');
            }
            Code::of($code, 'codes');
        }
        if ($item->tracking === Tracking::Lot) {
            if (count($list) !== 1) {
                throw Refused::because("{$item->label()} is tracked by lot. Type one lot for this receipt.", 'codes');
            }

            return [['lot' => self::lot($item, $list[0]), 'quantity' => $quantity]];
        }
        if (! $quantity->isEqualTo(count($list))) {
            $left = $quantity->minus(count($list));
            throw Refused::because($left->isPositive()
                ? sprintf('%s of %s serials are still to be named.', Amount::plain($left), Amount::plain($quantity))
                : sprintf('%d serials for %s pieces. Take %s out.', count($list), Amount::plain($quantity),
                    Amount::plain($left->negated())), 'codes');
        }
        $times = array_count_values(array_map(Code::keyOf(...), $list));
        $twice = array_filter($list, fn (string $code): bool => $times[Code::keyOf($code)] > 1);
        if ($twice !== []) {
            throw Refused::because('A serial is named twice: '.implode(', ', $twice).'.', 'codes');
        }

        return array_map(
            fn (string $code): array => ['lot' => self::lot($item, $code), 'quantity' => BigDecimal::one()],
            $list,
        );
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
