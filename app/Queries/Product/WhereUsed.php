<?php

namespace App\Queries\Product;

use App\Reading\Row;
use App\Shop\MadeLine;
use App\Shop\MadeOf;
use App\Wording\When;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Where an item is used, at any level, by the structures in force. */
final class WhereUsed
{
    /** So many are told; what stands in more than that is a bolt. */
    private const MOST = 200;

    /** @return list<UsedIn> those that take it directly first */
    public static function of(int $item, string $number): array
    {
        $above = self::above($item);

        return self::in(MadeOf::below($above), $above, $item, $number);
    }

    /**
     * @param  MadeOf  $of  that holds all above it
     * @param  list<int>  $above  ids
     * @return list<UsedIn> those that take it directly first
     */
    public static function in(MadeOf $of, array $above, int $item, string $number): array
    {
        $structures = $of->structures();
        $used = [];
        foreach ($of->items as $parent => $one) {
            if ($one->id === $item || ! in_array($one->id, $above, true)) {
                continue;
            }
            try {
                $quantity = $structures->totals((string) $parent, BigRational::one())[$number] ?? null;
            } catch (Refused) {
                continue; // a loop is said where it is closed
            }
            $direct = array_filter($of->lines[$parent] ?? [], fn (MadeLine $line): bool => $line->itemId === $item);
            if ($quantity !== null) {
                $used[] = new UsedIn($one, $quantity->toScale(4, RoundingMode::HALF_UP), $direct !== []);
            }
        }
        usort($used, fn (UsedIn $one, UsedIn $two): int => [! $one->isDirect, $one->item->number]
            <=> [! $two->isDirect, $two->item->number]);

        return $used;
    }

    /** @return list<int> itself and all it is used in, through all levels */
    public static function above(int $item): array
    {
        $above = "(WITH RECURSIVE above (id) AS (
                SELECT CAST(? AS UNSIGNED)
                UNION
                SELECT s.item_id FROM above a
                JOIN structure_lines l ON l.item_id = a.id AND l.gives IS NULL
                JOIN structures s ON s.id = l.structure_id AND s.status = 'approved'
                    AND (s.effective_from IS NULL OR s.effective_from <= ?))
            SELECT id FROM above) AS up";
        $query = DB::query()->fromRaw($above, [$item, When::today()->toDateString()])->limit(self::MOST);

        return Row::ints($query, 'id');
    }
}
