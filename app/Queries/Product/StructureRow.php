<?php

namespace App\Queries\Product;

use App\Shop\MadeItem;
use App\Shop\MadeLine;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Structure\IndentedLine;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\LineBasis;

/** One line of an indented structure, with what it costs. */
final readonly class StructureRow
{
    /**
     * @param  BigRational  $unit  cents for one stock unit
     * @param  BigRational|null  $oneMore  cents a piece of the item costs more with one more of it; null below the
     *     first level
     */
    public function __construct(
        private IndentedLine $indented,
        private MadeLine $line,
        private MadeItem $item,
        private BigRational $unit,
        private ?BigRational $oneMore,
    ) {
    }

    public function level(): int
    {
        return $this->indented->level;
    }

    public function itemId(): int
    {
        return $this->item->id;
    }

    public function number(): string
    {
        return $this->item->number;
    }

    public function name(): string
    {
        return $this->item->name;
    }

    public function position(): int
    {
        return $this->line->position;
    }

    public function quantity(): BigDecimal
    {
        return $this->line->quantity;
    }

    public function unit(): string
    {
        return $this->line->unit;
    }

    public function isPerOrder(): bool
    {
        return $this->line->basis === LineBasis::PerOrder;
    }

    public function scrap(): BigDecimal
    {
        return $this->line->scrap;
    }

    public function step(): ?int
    {
        return $this->line->step;
    }

    public function designators(): string
    {
        return $this->line->designators;
    }

    /** What is told apart of it: "backflush", "customer's own", "phantom". */
    public function marks(): string
    {
        return implode(', ', array_filter([
            $this->indented->isPhantom ? 'phantom' : '',
            $this->line->suppliedBy === 'us' ? '' : "{$this->line->suppliedBy}'s own",
            $this->line->issueBy === IssueBy::Backflush ? 'backflush' : '',
            $this->item->isRetired ? 'retired' : '',
        ]));
    }

    /** For all pieces asked about, with four places at most, as stock counts it. */
    public function total(): BigDecimal
    {
        return $this->indented->total->toScale(4, RoundingMode::HALF_UP);
    }

    public function totalUnit(): string
    {
        return $this->item->unit;
    }

    /** Euros for one stock unit, to four places. */
    public function unitCost(): BigDecimal
    {
        return self::euros($this->isCharged() ? $this->unit : BigRational::zero());
    }

    /** Cents for all pieces asked about. */
    public function cost(): int
    {
        return $this->isCharged()
            ? $this->unit->multipliedBy($this->indented->total)->toScale(0, RoundingMode::HALF_UP)->toInt()
            : 0;
    }

    /** Euros a piece costs more with one stock unit more on the line; null below the first level. */
    public function oneMore(): ?BigDecimal
    {
        return $this->oneMore === null ? null : self::euros($this->oneMore);
    }

    public function hasBelow(): bool
    {
        return $this->indented->hasBelow;
    }

    public function isOpen(): bool
    {
        return $this->indented->isOpen;
    }

    private function isCharged(): bool
    {
        return $this->indented->line->isCharged;
    }

    private static function euros(BigRational $cents): BigDecimal
    {
        return $cents->dividedBy(100)->toScale(4, RoundingMode::HALF_UP);
    }
}
