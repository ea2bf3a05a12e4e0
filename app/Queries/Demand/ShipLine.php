<?php

namespace App\Queries\Demand;

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
     * @param  BigDecimal  $ready  covered from stock
     * @param  Collection<int, ShipLot>  $lots
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
        public BigDecimal $ready,
        private Collection $lots,
    ) {
    }

    /** @param  Collection<int, ShipLot>  $lots */
    public static function from(Row $row, Collection $lots): self
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
            $row->decimal('ready'),
            $lots,
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

    /** @return array<int, string>  to choose from */
    public function lotOptions(): array
    {
        return [0 => 'oldest first'] + $this->lots->pluck('says', 'id')->all();
    }

    /** A field of it as errors and old input name it. */
    public function key(string $field): string
    {
        return "lines.{$this->id}.{$field}";
    }
}
