<?php

namespace App\Http\Requests\Product;

use App\Access\Deed;
use App\Actions\Product\SourceParts;
use App\Actions\Product\TypedCustomerNumber;
use App\Actions\Product\TypedItem;
use App\Actions\Product\TypedSalesPrices;
use App\Actions\Product\TypedSource;
use App\Actions\Product\TypedSubstitute;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainDay;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use App\Http\Requests\TypedRows;
use App\Models\Customer;
use App\Models\Item;
use App\Models\Supplier;
use Brick\Math\BigDecimal;
use Illuminate\Validation\Rule;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** What an item's page says of it. */
class ItemRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'name' => ['required', ...Rules::text(100)],
            'kind' => ['required', Rule::enum(ItemKind::class)],
            'unit_id' => ['required', ...Rules::id(), 'exists:units,id'],
            'tracking' => ['required', Rule::enum(Tracking::class)],
            'cover_for' => ['required', 'in:line,shelf'],
            'costing' => ['required', Rule::enum(CostingRule::class)],
            'lot_rule' => ['required', Rule::enum(LotRule::class)],
            'category' => ['nullable', ...Rules::text(40)],
            'makers_number' => ['nullable', ...Rules::text(60)],
            'number_rule' => ['nullable', ...Rules::text(40)],
            'description' => ['nullable', ...Rules::text(5000)],
            'supplier_id' => ['nullable', ...Rules::id(), 'exists:suppliers,id'],
            'lead_time_days' => ['nullable', 'bail', 'integer', 'between:0,999'],
            'minimum_days' => ['nullable', 'bail', 'integer', 'between:0,9999'],
            ...$this->ordered(),
            'is_running_out' => ['nullable', 'boolean'],
            ...array_fill_keys(['cost', 'price'], ['nullable', ...Rules::price()]),
            'units' => ['nullable', 'array', 'max:50'],
            'sources' => ['nullable', 'array', 'max:50'],
            'called' => ['nullable', 'array', 'max:50'],
            'sold' => ['nullable', 'array', 'max:30'],
            'substitutes' => ['nullable', 'array', 'max:30'],
        ];
    }

    /** @return array<string, mixed> how it is ordered */
    private function ordered(): array
    {
        return [
            'ordered_by' => ['nullable', 'in:need,level'],
            'lot_sizing' => ['nullable', Rule::enum(LotSizing::class)],
            ...array_fill_keys(
                ['reorder_point', 'safety_stock', 'minimum_issue', 'usual_lot', 'lot_quantity', 'lot_least'],
                ['nullable', ...Rules::amountOrZero()],
            ),
            ...array_fill_keys(['weight', 'volume'], ['nullable', ...Rules::amount()]),
            'inspection_days' => ['nullable', 'bail', 'integer', 'between:0,60'],
            'over_percent' => ['nullable', 'bail', 'integer', 'between:0,100'],
            'is_built_for_line' => ['nullable', 'boolean'],
            'is_parts_if_missing' => ['nullable', 'boolean'],
        ];
    }

    public function facts(): TypedItem
    {
        $some = fn (string $field, string $else): string => (string) ($this->validated($field) ?? $else);
        $money = fn (string $field): ?string => $this->person()->may(Deed::SeeMoney) ? $some($field, '0') : null;

        return new TypedItem(
            $this->validated('name'),
            ItemKind::from($this->validated('kind')),
            (int) $this->validated('unit_id'),
            Tracking::from($this->validated('tracking')),
            $this->validated('cover_for'),
            CostingRule::from($this->validated('costing')),
            LotRule::from($this->validated('lot_rule')),
            $some('category', ''),
            $some('description', ''),
            $this->validated('supplier_id') === null ? null : (int) $this->validated('supplier_id'),
            (int) $some('lead_time_days', '0'),
            $some('reorder_point', '0'),
            $some('safety_stock', '0'),
            $some('minimum_issue', '0'),
            (int) $some('minimum_days', '0'),
            $some('usual_lot', '0'),
            $this->boolean('is_running_out'),
            $money('cost'),
            $money('price'),
            ...[...$this->lists(), ...$this->lots()],
            makersNumber: $some('makers_number', ''),
            inspectionDays: (int) $some('inspection_days', '0'),
            numberRule: $some('number_rule', ''),
            overPercent: (int) $some('over_percent', '0'),
        );
    }

    /**
     * In what lots it is ordered or how it is built, and what one of it weighs, by argument of TypedItem.
     *
     * @return array{isOrderedByLevel: bool, lotSizing: LotSizing, lotQuantity: string, lotLeast: string,
     *     isBuiltForLine: bool, isPartsIfMissing: bool,
     *     weight: string|null, volume: string|null}
     */
    private function lots(): array
    {
        return [
            'isOrderedByLevel' => $this->validated('ordered_by') !== 'need',
            'lotSizing' => LotSizing::from($this->validated('lot_sizing') ?? LotSizing::AsNeeded->value),
            'lotQuantity' => $this->validated('lot_quantity') ?? '0',
            'lotLeast' => $this->validated('lot_least') ?? '0',
            'isBuiltForLine' => $this->boolean('is_built_for_line'),
            'isPartsIfMissing' => $this->boolean('is_parts_if_missing'),
            'weight' => $this->validated('weight'),
            'volume' => $this->validated('volume'),
        ];
    }

    /**
     * What is typed in rows, by argument of TypedItem.
     *
     * @return array{units: array<int, array{unit: string, p: string, q: string}>, sources: list<TypedSource>,
     *     called: list<TypedCustomerNumber>, substitutes: list<TypedSubstitute>,
     *     salesPrices: list<TypedSalesPrices>|null}
     */
    private function lists(): array
    {
        return [
            'units' => $this->units(),
            'sources' => $this->sources(),
            'called' => $this->called(),
            'substitutes' => $this->substitutes(),
            'salesPrices' => $this->person()->may(Deed::SeeMoney) ? $this->salesPrices() : null,
        ];
    }

    /** @return array<int, array{unit: string, p: string, q: string}>  by row of the form; empty ones are passed by */
    private function units(): array
    {
        $rows = TypedRows::of($this->array('units'), 'units', ['unit', 'p']);
        $units = [];
        foreach ($rows->places() as $at) {
            $units[$at] = [
                'unit' => $rows->words($at, 'unit', 12),
                'p' => (string) $this->ratio($rows, $at, 'p'),
                'q' => (string) $this->ratio($rows, $at, 'q'),
            ];
        }
        $rows->assertRight();

        return $units;
    }

    /** @return list<TypedSource> */
    private function sources(): array
    {
        $rows = TypedRows::of($this->array('sources'), 'sources', ['supplier']);
        $sees = $this->person()->may(Deed::SeeMoney);
        $sources = [];
        foreach ($rows->places() as $at) {
            $supplier = (int) $rows->whole($at, 'supplier', 1, 999_999_999);
            if (! Supplier::query()->whereKey($supplier)->exists()) {
                $rows->wrong($at, 'supplier', 'Choose one of those offered.');
            } elseif (in_array($supplier, array_column($sources, 'supplierId'), true)) {
                $rows->wrong($at, 'supplier', 'Stands twice. Each supplier has one line.');
            }
            [$setup, $least] = $this->charged($rows, $at);
            $sources[] = new TypedSource(
                $supplier,
                $rows->text($at, 'number', 60),
                $rows->number($at, 'minimum', new PlainNumber, '0'),
                $rows->whole($at, 'lead_time_days', 0, 999) ?? 0,
                $rows->whole($at, 'over_percent', 0, 100),
                $this->prices($rows, $at),
                ! $sees,
                $setup,
                $least,
                $this->along($rows, $at),
                $this->transport($rows, $at),
            );
        }
        $rows->assertRight();

        return $sources;
    }

    /** @return array<int, BigDecimal> parts of ours of which he makes it, by item */
    private function along(TypedRows $rows, int $at): array
    {
        try {
            return SourceParts::of(GoesAlong::read($rows->text($at, 'along', 200)), $this->route('item'));
        } catch (Refused $refused) {
            $rows->wrong($at, 'along', $refused->getMessage());

            return [];
        }
    }

    /** Days there and back, of a service. */
    private function transport(TypedRows $rows, int $at): int
    {
        $days = $rows->whole($at, 'transport_days', 0, 60) ?? 0;
        if ($days > 0 && $this->validated('kind') !== ItemKind::Outside->value) {
            $rows->wrong($at, 'transport_days', 'Pieces go there and back for a service. Days on the way of goods '
                .'stand at the supplier.');
        }

        return $days;
    }

    /** @return array{int, int} cents of a service: set-up, and what its pieces cost at least */
    private function charged(TypedRows $rows, int $at): array
    {
        $cents = [];
        foreach (['setup_charge', 'least_charge'] as $field) {
            $typed = $rows->number($at, $field, new PlainNumber(most: '999999', decimals: 2), '0');
            $cents[] = is_numeric($typed) ? Cents::of(BigDecimal::one(), $typed) : 0;
            if (end($cents) > 0 && $this->validated('kind') !== ItemKind::Outside->value) {
                $rows->wrong($at, $field, 'Only an outside service is charged so: leave it empty.');
            }
        }

        return $cents;
    }

    /** @return list<TypedSubstitute> */
    private function substitutes(): array
    {
        $rows = TypedRows::of($this->array('substitutes'), 'substitutes', ['item', 'p']);
        $substitutes = [];
        foreach ($rows->places() as $at) {
            $typed = $rows->words($at, 'item', 40);
            $item = Item::numbered($typed);
            if ($item === null) {
                $typed === '' ?: $rows->wrong($at, 'item', "No item has the number {$typed}.");
            } elseif (in_array($item->id, array_column($substitutes, 'itemId'), true)) {
                $rows->wrong($at, 'item', 'Stands twice.');
            }
            $substitutes[] = new TypedSubstitute(
                $item->id ?? 0,
                $rows->whole($at, 'p', 1, 999_999_999) ?? 1,
                $rows->whole($at, 'q', 1, 999_999_999) ?? 1,
                $rows->day($at, 'until', new PlainDay(yearsAhead: 20)),
            );
        }
        $rows->assertRight();

        return $substitutes;
    }

    /** @return list<TypedCustomerNumber> */
    private function called(): array
    {
        $rows = TypedRows::of($this->array('called'), 'called', ['customer', 'number']);
        $known = Customer::query()->pluck('id')->all();
        $called = [];
        foreach ($rows->places() as $at) {
            $customer = (int) $rows->whole($at, 'customer', 1, 999_999_999);
            if (! in_array($customer, $known, true)) {
                $rows->wrong($at, 'customer', 'Choose one of those offered.');
            }
            $called[] = new TypedCustomerNumber($customer, $rows->words($at, 'number', 60));
        }
        $rows->assertRight();

        return $called;
    }

    /** @return list<TypedSalesPrices> */
    private function salesPrices(): array
    {
        $rows = TypedRows::of($this->array('sold'), 'sold', ['level', 'prices']);
        $all = [];
        foreach ($rows->places() as $at) {
            $level = $rows->text($at, 'level', 20);
            isset($all[Code::keyOf($level)]) === false ?: $rows->wrong($at, 'level', 'Stands twice.');
            $rows->words($at, 'prices', 200);
            $prices = $this->prices($rows, $at);
            $prices === null ?: $all[Code::keyOf($level)] = new TypedSalesPrices($level, $prices);
        }
        $rows->assertRight();

        return array_values($all);
    }

    private function prices(TypedRows $rows, int $at): ?PriceBreaks
    {
        try {
            return PriceBreaks::read($rows->text($at, 'prices', 200));
        } catch (Refused $refused) {
            $rows->wrong($at, 'prices', $refused->getMessage());

            return null;
        }
    }

    /** A part of a ratio: whole, so that a third is a third. */
    private function ratio(TypedRows $rows, int $at, string $field): int
    {
        $typed = $rows->text($at, $field, 20);
        if ($typed === '' && $field === 'q') {
            return 1;
        }
        if (preg_match('/^[1-9]\d{0,8}$/D', $typed) !== 1) {
            $rows->wrong(
                $at,
                $field,
                'The ratio is exact: type it as two whole numbers, such as 1 and 3 for a third.',
            );
        }

        return max(1, (int) $typed);
    }
}
