<?php

namespace App\Actions\Product;

use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** What an item's page says of it, as it was typed. */
final readonly class TypedItem
{
    /**
     * @param  string  $usualLot  stock units; 0 = nobody said
     * @param  string|null  $cost  euros a stock unit; null where who types may not see it: it stays
     * @param  string|null  $price  likewise
     * @param  array<int, array{unit: string, p: string, q: string}>  $units  it is counted in besides, by row of the
     *     form
     * @param  list<TypedSource>  $sources  who sells it
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
    ) {
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
            'usual_lot' => $this->usualLot,
            'is_running_out' => (int) $this->isRunningOut,
            ...($this->cost === null ? [] : ['cost' => $this->cost]),
            ...($this->price === null ? [] : ['price' => $this->price]),
        ];
    }
}
