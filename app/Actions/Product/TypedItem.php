<?php

namespace App\Actions\Product;

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** What an item's page says of it, as it was typed. */
final readonly class TypedItem
{
    /**
     * @param  string  $usualLot  stock units; 0 = nobody said
     * @param  int  $overPercent  so much more than asked is built
     * @param  string|null  $cost  euros a stock unit; null where who types may not see it: it stays
     * @param  string|null  $price  likewise
     * @param  array<int, array{unit: string, p: string, q: string}>  $units  it is counted in besides, by row of the
     *     form
     * @param  list<TypedSource>  $sources  who sells it
     * @param  string  $lotQuantity  of whole lots, or the multiple; 0 = none
     * @param  string  $lotLeast  0 = none
     * @param  list<TypedCustomerNumber>  $called  what customers call it
     * @param  list<TypedSubstitute>  $substitutes  what may stand in for it, the first first
     * @param  string  $numberRule  by which new ones like it are numbered; '' = it is no pattern
     * @param  list<TypedSalesPrices>|null  $salesPrices  what customers pay; null where who types may not see it: it
     *     stays
     */
    public function __construct(
        public string $name,
        public ItemKind $kind,
        public int $unitId,
        public Tracking $tracking,
        public string $coverFor,
        public CostingRule $costing,
        public LotRule $lotRule,
        public string $category = '',
        public string $description = '',
        public ?int $supplierId = null,
        public int $leadTimeDays = 0,
        public string $reorderPoint = '0',
        public string $safetyStock = '0',
        public string $minimumIssue = '0',
        public int $minimumDays = 0,
        public string $usualLot = '0',
        public bool $isRunningOut = false,
        public ?string $cost = null,
        public ?string $price = null,
        public array $units = [],
        public array $sources = [],
        public bool $isOrderedByLevel = true,
        public LotSizing $lotSizing = LotSizing::AsNeeded,
        public string $lotQuantity = '0',
        public string $lotLeast = '0',
        public array $called = [],
        public array $substitutes = [],
        public ?array $salesPrices = null,
        public string $makersNumber = '',
        public int $inspectionDays = 0,
        public string $numberRule = '',
        public int $overPercent = 0,
        public bool $isBuiltForLine = false,
        public bool $isPartsIfMissing = false,
        public ?string $weight = null,
        public ?string $volume = null,
    ) {
    }

    public function lotSize(): LotSize
    {
        return new LotSize($this->lotSizing, BigDecimal::of($this->lotQuantity), BigDecimal::of($this->lotLeast));
    }

    /** @return array<string, bool|int|string|null> by column */
    public function columns(): array
    {
        return [
            'name' => $this->name,
            'kind' => $this->kind->value,
            'unit_id' => $this->unitId,
            'tracking' => $this->tracking->value,
            'cover_for' => $this->coverFor,
            'costing' => $this->costing->value,
            'lot_rule' => $this->lotRule->value,
            'category' => $this->category,
            'description' => $this->description,
            'supplier_id' => $this->supplierId,
            'lead_time_days' => $this->leadTimeDays,
            'reorder_point' => $this->reorderPoint,
            'safety_stock' => $this->safetyStock,
            'minimum_issue' => $this->minimumIssue,
            'minimum_days' => $this->minimumDays,
            'inspection_days' => $this->inspectionDays,
            'weight' => $this->weight,
            'volume' => $this->volume,
            'usual_lot' => $this->usualLot,
            'over_percent' => $this->overPercent,
            'is_running_out' => (int) $this->isRunningOut,
            ...$this->making(),
            'makers_number' => $this->makersNumber,
            'number_rule' => $this->numberRule,
            ...($this->cost === null ? [] : ['cost' => $this->cost]),
            ...($this->price === null ? [] : ['price' => $this->price]),
        ];
    }

    /** @return array<string, int|string> how it comes into being, by column */
    private function making(): array
    {
        return [
            'is_built_for_line' => (int) $this->isBuiltForLine,
            'is_parts_if_missing' => (int) $this->isPartsIfMissing,
            'ordered_by' => $this->isOrderedByLevel ? 'level' : 'need',
            'lot_sizing' => $this->lotSizing->value,
            'lot_quantity' => $this->lotQuantity,
            'lot_least' => $this->lotLeast,
        ];
    }
}
