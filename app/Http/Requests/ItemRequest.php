<?php

namespace App\Http\Requests;

use App\Access\Deed;
use App\Actions\Product\TypedItem;
use App\Actions\Product\TypedSource;
use App\Models\Supplier;
use Illuminate\Validation\Rule;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\PriceBreaks;
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
            'description' => ['nullable', ...Rules::text(5000)],
            'supplier_id' => ['nullable', ...Rules::id(), 'exists:suppliers,id'],
            'lead_time_days' => ['nullable', 'bail', 'integer', 'between:0,999'],
            'minimum_days' => ['nullable', 'bail', 'integer', 'between:0,9999'],
            ...array_fill_keys(
                ['reorder_point', 'safety_stock', 'minimum_issue', 'usual_lot'],
                ['nullable', ...Rules::amountOrZero()],
            ),
            'is_running_out' => ['nullable', 'boolean'],
            ...array_fill_keys(['cost', 'price'], ['nullable', ...Rules::price()]),
            'units' => ['nullable', 'array', 'max:50'],
            'sources' => ['nullable', 'array', 'max:50'],
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
            $this->units(),
            $this->sources(),
        );
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
            $sources[] = new TypedSource(
                $supplier,
                $rows->text($at, 'number', 60),
                $rows->number($at, 'minimum', new PlainNumber, '0'),
                $rows->whole($at, 'lead_time_days', 0, 999) ?? 0,
                $this->prices($rows, $at),
                ! $sees,
            );
        }
        $rows->assertRight();

        return $sources;
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
