<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Structure\ItemKind;

/** An item as it stands in structures. */
final readonly class MadeItem
{
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public ItemKind $kind,
        public string $unit,
        public int $decimals,
        public string $cost,
        public CostingRule $costing,
        private BigDecimal $usualLot,
        public bool $isRetired,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            ItemKind::from($row->text('kind')),
            $row->text('unit'),
            $row->int('decimals'),
            $row->text('cost'),
            CostingRule::from($row->text('costing')),
            $row->decimal('usual_lot'),
            $row->textOrNull('retired_at') !== null,
        );
    }

    /** How many are made at once, where somebody said so; else one. */
    public function lot(): BigDecimal
    {
        return $this->hasLot() ? $this->usualLot : BigDecimal::one();
    }

    public function hasLot(): bool
    {
        return $this->usualLot->isPositive();
    }

    public function isPhantom(): bool
    {
        return $this->kind === ItemKind::Phantom;
    }

    public function label(): string
    {
        return "{$this->number} {$this->name}";
    }
}
