<?php

namespace App\Queries\Product;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Structure\ItemKind;

/** An item in the list of all. */
final readonly class ListedItem
{
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public ItemKind $kind,
        public string $category,
        public string $unit,
        public BigDecimal $onHand,
        public BigDecimal $cost,
        public BigDecimal $price,
        public int $leadTimeDays,
        public string $supplier,
        public bool $isRunningOut,
        public bool $isRetired,
        private int $drafts,
        private bool $hasStructure,
        private bool $hasRouting,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            ItemKind::from($row->text('kind')),
            $row->text('category'),
            $row->text('unit'),
            $row->decimal('on_hand'),
            $row->decimal('cost'),
            $row->decimal('price'),
            $row->int('lead_time_days'),
            (string) $row->textOrNull('supplier'),
            $row->flag('is_running_out'),
            $row->textOrNull('retired_at') !== null,
            $row->int('drafts'),
            $row->flag('has_structure'),
            $row->flag('has_routing'),
        );
    }

    /** Where it comes from: "S-01 Brightwater, 6 days", "structure and routing". */
    public function comesFrom(): string
    {
        return match (true) {
            $this->kind->isMadeHere(), $this->kind === ItemKind::Phantom => match (true) {
                $this->hasStructure && $this->hasRouting => 'structure and routing',
                $this->hasStructure => 'structure',
                $this->hasRouting => 'routing',
                default => 'nothing approved',
            },
            $this->supplier === '' => '',
            default => $this->supplier.($this->leadTimeDays > 0 ? ", {$this->leadTimeDays} days" : ''),
        };
    }

    public function lacksMaking(): bool
    {
        return $this->kind->isMadeHere() && ! $this->hasStructure && ! $this->hasRouting;
    }

    public function hasDraft(): bool
    {
        return $this->drafts > 0;
    }
}
