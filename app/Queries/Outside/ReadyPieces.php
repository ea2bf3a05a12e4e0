<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** Pieces of a step that can go to its supplier, or are one step before it. */
final readonly class ReadyPieces
{
    /**
     * @param  BigDecimal  $here  at the step and not sent
     * @param  BigDecimal  $before  at the step before, counted or not
     * @param  string  $stepBefore  '' = it is the first
     * @param  BigDecimal  $there  with the supplier already
     * @param  CarbonImmutable|null  $planned  when the plan has them go
     */
    private function __construct(
        public int $id,
        public int $supplierId,
        public string $supplier,
        public int $orderId,
        public string $order,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public int $number,
        public string $name,
        public BigDecimal $here,
        public BigDecimal $before,
        public string $stepBefore,
        public bool $isOutsideBefore,
        public BigDecimal $there,
        public ?CarbonImmutable $planned,
        public int $late,
    ) {
    }

    public static function from(Row $row): self
    {
        $before = $row->intOrNull('before_number');

        return new self(
            $row->int('id'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->int('number'),
            $row->text('name'),
            $row->decimal('here'),
            $row->decimalOrZero('before_pieces'),
            $before === null ? '' : "{$before} {$row->text('before_name')}",
            $row->intOrNull('before_supplier') !== null,
            $row->decimalOrZero('there'),
            $row->momentOrNull('start_at'),
            $row->intOrNull('late_minutes') ?? 0,
        );
    }

    public function step(): string
    {
        return "{$this->number} {$this->name}";
    }

    public function isHere(): bool
    {
        return $this->here->isPositive();
    }

    /** Pieces that nobody counted through yet could go too. */
    public function canCountThrough(): bool
    {
        return $this->before->isPositive() && ! $this->isOutsideBefore;
    }

    /** "6 at 20 Weld" */
    public function beforeSays(): string
    {
        return $this->before->isPositive()
            ? Figures::amount((string) $this->before)." at {$this->stepBefore}"
            : '';
    }

    /** One of its fields among those of the form. */
    public function field(string $name): string
    {
        return "steps[{$this->id}][{$name}]";
    }

    /** Its name among the errors. */
    public function key(string $name): string
    {
        return "steps.{$this->id}.{$name}";
    }
}
