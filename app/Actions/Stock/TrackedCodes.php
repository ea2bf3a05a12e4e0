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
        $list = self::listed($codes);
        if (! $item->isTracked()) {
            return $list === [] ? [['lot' => 0, 'quantity' => $quantity]]
                : throw Refused::because("{$item->label()} is not tracked by lot. Leave the lot empty.", 'codes');
        }
        array_walk($list, self::assertCode(...));
        if ($item->tracking === Tracking::Lot) {
            if (count($list) !== 1) {
                throw Refused::because("{$item->label()} is tracked by lot. Type one lot for this receipt.", 'codes');
            }

            return [['lot' => self::lot($item, $list[0]), 'quantity' => $quantity]];
        }
        self::assertSerials($quantity, $list);

        return array_map(
            fn (string $code): array => ['lot' => self::lot($item, $code), 'quantity' => BigDecimal::one()],
            $list,
        );
    }

    /** @return list<string> as they were typed, parted by lines or commas */
    private static function listed(string $codes): array
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
     * @throws Refused
     */
    private static function assertSerials(BigDecimal $quantity, array $list): void
    {
        $pieces = Amount::plain($quantity);
        $left = $quantity->minus(count($list));
        if (! $left->isZero()) {
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
