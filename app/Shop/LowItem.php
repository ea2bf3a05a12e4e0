<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Planning\StockPosition;
use KeepPace\Core\Structure\ItemKind;

/** An item with its position: what is free, coming and promised of it. */
final readonly class LowItem
{
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        public StockPosition $is,
        private LotSize $lots,
        private ItemKind $kind,
        public bool $hasSupplier,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            new StockPosition(
                $row->decimal('free'),
                $row->decimal('bought')->plus($row->decimal('made')),
                $row->decimal('tied')->plus($row->decimal('needed')),
                $row->decimal('reorder_point'),
            ),
            new LotSize(
                $row->enum('lot_sizing', LotSizing::class),
                $row->decimal('lot_quantity'),
                $row->decimal('lot_least'),
            ),
            $row->enum('kind', ItemKind::class),
            $row->intOrNull('supplier_id') !== null,
        );
    }

    /** What is ordered of it, up to its level. */
    public function proposal(): BigDecimal
    {
        return $this->is->proposal($this->lots);
    }

    public function isProposed(): bool
    {
        return $this->proposal()->isPositive();
    }

    public function isMadeHere(): bool
    {
        return $this->kind->isMadeHere();
    }

    public function isMissing(): bool
    {
        return $this->is->missing()->isPositive();
    }
}
