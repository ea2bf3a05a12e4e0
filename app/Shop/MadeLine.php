<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;

/** A line of a structure, with what core does not reckon with. */
final readonly class MadeLine
{
    private function __construct(
        public int $id,
        public int $structureId,
        public int $position,
        public int $itemId,
        public string $item,
        public string $name,
        public BigDecimal $quantity,
        public string $unit,
        public LineBasis $basis,
        public BigDecimal $scrap,
        public ?int $step,
        public string $designators,
        public IssueBy $issueBy,
        public string $suppliedBy,
        private BigRational $ratio,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('structure_id'),
            $row->int('position'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('name'),
            $row->decimal('quantity'),
            $row->text('unit'),
            LineBasis::from($row->text('basis')),
            $row->decimal('scrap_percent'),
            $row->intOrNull('step_number'),
            $row->text('designators'),
            IssueBy::from($row->text('issue_by')),
            $row->text('supplied_by'),
            BigRational::nd($row->text('p'), $row->text('q')),
        );
    }

    /** By the component's number. */
    public function toCore(): Line
    {
        return new Line(
            (string) $this->id,
            $this->item,
            $this->ratio->multipliedBy($this->quantity)->simplified(),
            $this->basis,
            $this->step,
            $this->scrap,
            $this->suppliedBy === 'us',
        );
    }
}
