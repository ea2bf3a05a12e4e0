<?php

namespace App\Verify;

use Illuminate\Support\Facades\DB;

/** The invariants of the data as plain SQL that shares no code with the writers; each row found is a difference. */
final class Checks
{
    /** @return array<string, string> SQL by what must hold; each selects one column "difference" */
    public static function all(): array
    {
        return [
            ...StockRules::ALL,
            ...BookingRules::ALL,
            ...OrderRules::ALL,
            ...OutsideRules::ALL,
            ...CoverRules::ALL,
            ...PurchaseRules::ALL,
            ...ValueRules::ALL,
            ...NumberRules::all(),
            ...PlanRules::ALL,
        ];
    }

    /**
     * To be read from one snapshot, or what is booked meanwhile looks like a difference.
     *
     * @return list<string> each with the rule it breaks
     */
    public static function differences(): array
    {
        $found = [];
        StockSums::make();
        try {
            foreach (self::all() as $rule => $sql) {
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
