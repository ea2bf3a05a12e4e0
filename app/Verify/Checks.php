<?php

namespace App\Verify;

use Illuminate\Support\Facades\DB;

/** The invariants of the data as plain SQL that shares no code with the writers; each row found is a difference. */
final class Checks
{
    /** The two halves of them, of one length on a year of a shop: they can be asked side by side. */
    public const HALVES = ['stock', 'orders'];

    /**
     * @param  string|null  $half  null = both
     * @return array<string, string> SQL by what must hold; each selects one column "difference"
     */
    public static function all(?string $half = null): array
    {
        $stock = [...StockRules::ALL, ...PurchaseRules::ALL, ...ValueRules::ALL];
        $orders = [
            ...BookingRules::ALL,
            ...OrderRules::ALL,
            ...OutsideRules::ALL,
            ...CoverRules::ALL,
            ...NumberRules::all(),
            ...PlanRules::ALL,
        ];

        return match ($half) {
            'stock' => $stock,
            'orders' => $orders,
            default => [...$stock, ...$orders],
        };
    }

    /**
     * Each rule to be read from one snapshot, or what is booked meanwhile looks like a difference.
     *
     * @param  string|null  $half  null = both
     * @return list<string> each with the rule it breaks
     */
    public static function differences(?string $half = null): array
    {
        $found = [];
        $half === 'orders' ? StockSums::settle() : StockSums::make();
        try {
            foreach (self::all($half) as $rule => $sql) {
                foreach (DB::select($sql) as $row) {
                    $found[] = "{$rule}: {$row->difference}";
                }
            }
        } finally {
            StockSums::drop();
        }

        return $found;
    }
}
