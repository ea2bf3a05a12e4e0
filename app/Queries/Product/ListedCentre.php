<?php

namespace App\Queries\Product;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;

/** A work centre in the list of all. */
final readonly class ListedCentre
{
    private function __construct(
        public int $id,
        public string $code,
        public string $name,
        public string $calendar,
        public int $machines,
        public int $people,
        public int $steps,
        public BigDecimal $labour,
        public BigDecimal $machine,
        private BigDecimal $overheadPercent,
        private BigDecimal $overheadHour,
        private BigDecimal $overheadPiece,
        private int $loadSize,
        private bool $hasChangeovers,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('code'),
            $row->text('name'),
            $row->text('calendar'),
            $row->int('machines'),
            $row->int('people'),
            $row->int('steps'),
            $row->decimal('labour_rate'),
            $row->decimal('machine_rate'),
            $row->decimal('overhead_percent'),
            $row->decimal('overhead_hour'),
            $row->decimal('overhead_piece'),
            $row->int('load_size'),
            $row->flag('has_changeovers'),
        );
    }

    /** "40 % of labour, 2.50 € an hour, 0.10 € a piece" */
    public function overhead(): string
    {
        return implode(', ', array_filter([
            $this->overheadPercent->isPositive() ? Figures::amount((string) $this->overheadPercent).' % of labour' : '',
            $this->overheadHour->isPositive() ? Figures::price((string) $this->overheadHour).' € an hour' : '',
            $this->overheadPiece->isPositive() ? Figures::price((string) $this->overheadPiece).' € a piece' : '',
        ]));
    }

    /** "loads of 40, changeovers by family" */
    public function works(): string
    {
        return implode(', ', array_filter([
            $this->loadSize > 0 ? "loads of {$this->loadSize}" : '',
            $this->hasChangeovers ? 'changeovers by family' : '',
        ]));
    }
}
