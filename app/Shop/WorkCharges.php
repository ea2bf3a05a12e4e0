<?php

namespace App\Shop;

use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\ServiceCharge;

/** Lines of a purchase order that the supplier charges as one: the same work on the same terms (trade.md W1). */
final class WorkCharges
{
    /** What lines charged as one have in common; null = goods. */
    public static function key(PurchaseLine $line): ?string
    {
        return $line->isWork()
            ? "{$line->item_id} {$line->price} {$line->setup_cents} {$line->minimum_cents}"
            : null;
    }

    /**
     * Cents of set-ups, and of what is missing to minimums.
     *
     * @param  Collection<int, PurchaseLine>  $lines  of one order
     */
    public static function lumps(Collection $lines): int
    {
        $wanted = $charges = [];
        foreach ($lines as $line) {
            $key = self::key($line);
            if ($key !== null) {
                $wanted[$key] = ($wanted[$key] ?? BigDecimal::zero())->plus($line->wanted());
                $charges[$key] = $line->charge();
            }
        }

        return array_sum(array_map(
            fn (ServiceCharge $charge, BigDecimal $pieces): int => $pieces->isZero() ? 0 : $charge->lumps($pieces),
            $charges,
            $wanted,
        ));
    }
}
