<?php

namespace App\Actions\Product;

use App\Access\Deed;
use App\Books\ProductChanges;
use App\Models\Item;
use App\Models\ItemUnit;
use App\Models\Person;
use App\Models\Unit;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\ItemFacts;
use KeepPace\Core\Naming\NumberRule;
use KeepPace\Core\Refused;

/** Writes what was typed of an item, judged by core against what it was; what differs goes into the trail. */
final readonly class ItemColumns
{
    public function __construct(private ProductChanges $changes, private Person $by)
    {
    }

    /**
     * @return bool whether anything differs
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function write(Item $item, TypedItem $typed): bool
    {
        $isMoved = DB::table('moves')->where('item_id', $item->id)->exists();
        $wrong = $this->wrong($item, $typed, $isMoved);
        $units = $this->units($item, $typed, $isMoved, $wrong);
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        $differs = ChangedFields::fill($item, 'items', $item->number, $typed->columns(), $this->changes);
        $units = $this->writeUnits($item, $units);
        $sources = (new SourceTerms($this->changes))->replace($item, $typed->sources);
        $called = (new CustomerNumbers($this->changes))->replace($item, $typed->called);
        $prices = $typed->salesPrices !== null
            && (new SalesPrices($this->changes))->replace($item, $typed->salesPrices);
        $substitutes = (new Substitutes($this->changes))->replace($item, $typed->substitutes);

        return $units || $sources || $called || $prices || $substitutes || $differs;
    }

    /** @return array<string, string> what of it cannot be so, by field */
    private function wrong(Item $item, TypedItem $typed, bool $isMoved): array
    {
        $was = new ItemFacts(
            $item->number,
            $item->unit->code,
            $item->tracking,
            CostingRule::from($item->costing),
            BigDecimal::of($item->cost),
        );
        $wrong = $this->facts($item, $typed)->wrong($was, $isMoved, $this->by->may(Deed::Value));
        if (isset($wrong['unit'])) {
            $wrong['unit_id'] = $wrong['unit'];
            unset($wrong['unit']);
        }

        $wrong += $this->wrongRule($typed->numberRule);
        foreach ($typed->substitutes as $at => $one) {
            if ($one->itemId === $item->id) {
                $wrong["substitutes.{$at}.item"] = 'It is the item itself.';
            }
        }

        if ($typed->isBuiltForLine && ! $typed->kind->isMadeHere()) {
            $wrong['is_built_for_line'] = 'Only what is made here is built as it is shipped.';
        }

        if ($typed->isPartsIfMissing && ! $typed->kind->isMadeHere()) {
            $wrong['is_parts_if_missing'] = 'Only what is made here has parts to be taken.';
        }

        return $wrong + $this->revalued($item, $typed) + $typed->lotSize()->wrong();
    }

    /** @return array<string, string> */
    private function wrongRule(string $rule): array
    {
        try {
            $rule === '' ?: NumberRule::of($rule);
        } catch (Refused $refused) {
            return ['number_rule' => $refused->getMessage()];
        }

        return [];
    }

    private function facts(Item $item, TypedItem $typed): ItemFacts
    {
        return new ItemFacts(
            $item->number,
            Unit::query()->findOrFail($typed->unitId)->code,
            $typed->tracking,
            $typed->costing,
            BigDecimal::of($typed->cost ?? $item->cost),
        );
    }

    /**
     * A standard cost is set on the stock page, where what lies there is brought to it.
     *
     * @return array<string, string>
     */
    private function revalued(Item $item, TypedItem $typed): array
    {
        $differs = $typed->cost !== null && ! BigDecimal::of($typed->cost)->isEqualTo($item->cost);

        return $item->isAtStandardCost() && $differs && $this->by->may(Deed::Value)
            ? ['cost' => 'A standard cost is set where the stock is valued: it revalues what lies there.']
            : [];
    }

    /**
     * @param  array<string, string>  $wrong  filled
     * @return array<int, array{int, int}> p and q by unit
     */
    private function units(Item $item, TypedItem $typed, bool $isMoved, array &$wrong): array
    {
        $units = [];
        foreach ($typed->units as $at => $row) {
            $unit = Unit::coded($row['unit']);
            $says = match (true) {
                $unit === null => "No unit has the code {$row['unit']}.",
                $unit->id === $typed->unitId => "{$unit->code} is the stock unit itself: one is one.",
                isset($units[$unit->id]) => "{$unit->code} stands twice. Each unit has one ratio.",
                default => null,
            };
            if ($says !== null) {
                $wrong["units.{$at}.unit"] = $says;
            } else {
                $units[$unit->id] = [(int) $row['p'], (int) $row['q']];
            }
        }
        foreach ($isMoved ? $item->units : [] as $was) {
            $is = $units[$was->unit_id] ?? null;
            $says = $this->stays($item, $was, $is);
            if ($says !== null) {
                $at = array_search($was->unit->code, array_column($typed->units, 'unit'), true);
                $wrong[$is === null || $at === false ? 'units' : "units.{$at}.p"] = $says;
            }
        }

        return $units;
    }

    /** @param  array{int, int}|null  $is */
    private function stays(Item $item, ItemUnit $was, ?array $is): ?string
    {
        $ratio = BigRational::nd($was->p, $was->q);

        return $is !== null && $ratio->isEqualTo(BigRational::nd($is[0], $is[1]))
            ? null
            : "One {$was->unit->code} of {$item->number} has been {$ratio->simplified()} {$item->unit->code} since it "
                .'was first moved, and that stays. Give another size a unit of its own.';
    }

    /** @param  array<int, array{int, int}>  $units  p and q by unit */
    private function writeUnits(Item $item, array $units): bool
    {
        $had = $item->units->keyBy('unit_id');
        $codes = Unit::query()->pluck('code', 'id');
        $differs = false;
        foreach ($units + $had->all() as $unit => $any) {
            $was = $had->get($unit);
            $is = $units[$unit] ?? null;
            $say = fn (?array $ratio): string => $ratio === null ? '' : implode('/', $ratio);
            $before = $say($was === null ? null : [$was->p, $was->q]);
            if ($before === $say($is)) {
                continue;
            }
            $differs = true;
            $this->changes->field('items', $item->id, $item->number, "1 {$codes[$unit]}", $before, $say($is));
            DB::table('item_units')->where('item_id', $item->id)->where('unit_id', $unit)->delete();
            $is === null ?: DB::table('item_units')
                ->insert(['item_id' => $item->id, 'unit_id' => $unit, 'p' => $is[0], 'q' => $is[1]]);
        }

        return $differs;
    }
}
