<?php

namespace App\Actions\Stock;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Condition;

/**
 * Takes out balances of lots, serials, conditions and owners where nothing lies any more: they would grow without
 * end. The bin of an untracked item stays, to be counted. An item at a time, under its lock, so nobody reads what is
 * being taken out.
 */
final class SweepBalances
{
    private const AT_ONCE = 500;

    /** @return int how many were taken out */
    public function handle(): int
    {
        $swept = 0;
        foreach ($this->items() as $item) {
            $swept += DB::transaction(function () use ($item): int {
                DB::table('item_stock')->where('item_id', $item)->lockForUpdate()->first();

                return self::empty()->where('item_id', $item)->delete();
            }, attempts: 5);
        }

        return $swept;
    }

    /** @return Collection<int, int> */
    private function items(): Collection
    {
        return self::empty()->distinct()->orderBy('item_id')->limit(self::AT_ONCE)->pluck('item_id');
    }

    private static function empty(): Builder
    {
        return DB::table('balances')->where('quantity', 0)
            ->where(
                fn ($any) => $any
                    ->where('lot_id', '<>', 0)
                    ->orWhere('condition', '<>', Condition::Free->value)
                    ->orWhere('owner_id', '<>', 0),
            );
    }
}
