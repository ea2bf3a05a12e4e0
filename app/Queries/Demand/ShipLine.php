<?php

namespace App\Queries\Demand;

use App\Queries\Builds\LineBuild;
use App\Reading\Row;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Stock\Tracking;

/** A customer line that can ship now: what stock covers of it, and the lots it lies in. */
final readonly class ShipLine
{
    /**
     * @param  bool  $isWholeOnly  the customer takes the order in one shipment
     * @param  BigDecimal  $open  wanted still
     * @param  BigDecimal  $there  covered from stock
     * @param  Collection<int, ShipLot>  $lots
     * @param  LineBuild|null  $build  what is not there is built as it goes
     */
    private function __construct(
        public int $id,
        public int $customerOrderId,
        public string $number,
        private int $position,
        public string $customer,
        public string $goesTo,
        public bool $isWholeOnly,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $promisedOn,
        private Tracking $tracking,
        public BigDecimal $open,
        private BigDecimal $there,
        private Collection $lots,
        public ?LineBuild $build,
    ) {
    }

    /** @param  Collection<int, ShipLot>  $lots */
    public static function from(Row $row, Collection $lots, ?LineBuild $build): self
    {
        return new self(
            $row->int('id'),
            $row->int('customer_order_id'),
            $row->text('number'),
            $row->int('position'),
            $row->text('customer'),
            $row->text('goes_to'),
            $row->flag('is_whole_only'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->text('promised_on'),
            $row->enum('tracking', Tracking::class),
            $row->decimal('open'),
            $row->decimal('there'),
            $lots,
            $build,
        );
    }

    /** "C-2001/10" */
    public function line(): string
    {
        return "{$this->number}/{$this->position}";
    }

    /** "C-2001 line 10", for those who do not see where a field stands */
    public function label(): string
    {
        return "{$this->number} line {$this->position}";
    }

    public function isOverdue(): bool
    {
        return $this->promisedOn < When::today()->toDateString();
    }

    public function isTracked(): bool
    {
        return $this->tracking->isTracked();
    }

    /** What can go now: what is there, and what can be built of what is there. */
    public function ready(): BigDecimal
    {
        return BigDecimal::min($this->open, $this->there->plus($this->built()));
    }

    /** What of it is built as it goes. */
    public function built(): BigDecimal
    {
        return BigDecimal::min(
            $this->build->buildable ?? BigDecimal::zero(),
            BigDecimal::max(0, $this->open->minus($this->there)),
        );
    }

    /** What is built is named as it goes; what is there is chosen of. */
    public function takesCodes(): bool
    {
        return $this->isTracked() && $this->build !== null && $this->there->isZero();
    }

    public function codesHint(): string
    {
        return $this->tracking === Tracking::Serial ? 'serials, or by rule' : 'lot, or by rule';
    }

    /** @return array<int, string>  to choose from */
    public function lotOptions(): array
    {
        return [0 => 'oldest first'] + array_column($this->lots->all(), 'says', 'id');
    }

    /** A field of it as errors and old input name it. */
    public function key(string $field): string
    {
        return "lines.{$this->id}.{$field}";
    }
}
