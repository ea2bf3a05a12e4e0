<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Wording\CoverWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Structure\ItemKind;

/** A line of a customer order: what is wanted of it, how it is covered, what has gone. */
final readonly class DemandLine
{
    /**
     * @param  BigDecimal  $typed  the quantity as the customer ordered it, in their unit
     * @param  Collection<int, LineCover>  $covers
     */
    private function __construct(
        public int $id,
        public int $customerOrderId,
        private string $number,
        public int $position,
        public string $customer,
        public string $reference,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        private ItemKind $kind,
        public string $unit,
        public BigDecimal $quantity,
        public BigDecimal $shipped,
        private BigDecimal $cancelled,
        private BigDecimal $typed,
        private string $typedUnit,
        public BigDecimal $price,
        public string $promisedOn,
        public bool $isOpen,
        public Collection $covers,
    ) {
    }

    /** @param  Collection<int, LineCover>  $covers */
    public static function from(Row $row, Collection $covers): self
    {
        return new self(
            $row->int('id'),
            $row->int('customer_order_id'),
            $row->text('number'),
            $row->int('position'),
            $row->text('customer'),
            $row->text('reference'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->enum('kind', ItemKind::class),
            $row->text('unit'),
            $row->decimal('quantity'),
            $row->decimal('shipped_quantity'),
            $row->decimal('cancelled_quantity'),
            $row->decimal('typed_quantity'),
            $row->text('typed_unit'),
            $row->decimal('price'),
            $row->text('promised_on'),
            $row->flag('is_open'),
            $covers,
        );
    }

    /** "C-2001/10" */
    public function line(): string
    {
        return "{$this->number}/{$this->position}";
    }

    /** Neither shipped nor cancelled. */
    public function wanted(): BigDecimal
    {
        return $this->quantity->minus($this->shipped)->minus($this->cancelled);
    }

    /** Wanted, and covered by nothing; less than none where more is covered than is wanted. */
    public function uncovered(): BigDecimal
    {
        $covered = $this->covers->map(fn (LineCover $one): BigDecimal => $one->quantity);

        return $this->wanted()->minus(BigDecimal::sum(0, ...$covered));
    }

    /** What covers it is finished after its promised day. */
    public function isLate(): bool
    {
        return $this->covers->contains(fn (LineCover $cover): bool => $cover->isAfter($this->promisedOn));
    }

    /** Its day has passed and not all has gone. */
    public function isOverdue(): bool
    {
        return $this->isOpen && $this->promisedOn < When::today()->toDateString();
    }

    public function isMadeHere(): bool
    {
        return $this->kind->isMadeHere();
    }

    /** "4 from stock, 6 from 218 on Thu" */
    public function coverSays(): string
    {
        $from = $this->covers->map(fn (LineCover $cover): string => $cover->says())->all();

        return CoverWords::say($this->shipped, array_values($from), $this->cancelled, $this->uncovered());
    }

    public function tone(): string
    {
        return match (true) {
            $this->isLate() => 'behind notched',
            $this->uncovered()->isPositive() => 'soon',
            default => '',
        };
    }

    /** "2 box", where it was ordered in another unit than it is kept in. */
    public function typedSays(): ?string
    {
        return $this->typedUnit === $this->unit
            ? null
            : Figures::amount((string) $this->typed)." {$this->typedUnit}";
    }

    /** One of its forms among the others of a page. */
    public function form(string $deed): string
    {
        return "{$deed}-{$this->id}";
    }
}
