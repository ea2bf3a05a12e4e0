<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

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
        public ?OutputKind $gives,
        public ?ShareRule $shareRule,
        public ?BigDecimal $share,
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
            OutputKind::tryFrom((string) $row->textOrNull('gives')),
            ShareRule::tryFrom((string) $row->textOrNull('share_rule')),
            $row->decimalOrNull('share'),
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

    /**
     * Of a line that comes back, by its item's number.
     *
     * @param  string  $cost  euros a stock unit, of its item: where nobody said another value
     */
    public function comesBack(string $cost): ComesBack
    {
        $rule = $this->shareRule ?? ShareRule::SetValue;

        return new ComesBack(
            (string) $this->id,
            $this->item,
            $this->gives ?? throw new \LogicException('It goes in.'),
            $this->ratio->multipliedBy($this->quantity)->simplified(),
            $this->basis,
            $rule,
            $this->share ?? BigDecimal::of($rule === ShareRule::Percent ? '0' : $cost),
        );
    }
}
