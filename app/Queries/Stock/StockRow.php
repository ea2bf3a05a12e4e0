<?php

namespace App\Queries\Stock;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Condition;

/** What lies at one place in one condition: of an item, of a lot of it, or serials of it together. */
final readonly class StockRow
{
    /**
     * @param  int  $id  of the balance; of the first of them where several serials stand together
     * @param  string|null  $lastLot  of several serials; the same as the lot where it is one
     * @param  string|null  $expiresOn  "YYYY-MM-DD"
     * @param  int  $value  cents
     * @param  BigDecimal  $promised  of the item, from all stock of it
     */
    public function __construct(
        public int $id,
        public int $itemId,
        public string $itemNumber,
        public string $itemName,
        public string $unit,
        public string $place,
        public Condition $condition,
        public ?string $owner,
        public int $lotId,
        public ?string $lot,
        public ?string $lastLot,
        public int $serials,
        public ?string $expiresOn,
        public bool $isExpired,
        public BigDecimal $quantity,
        public int $value,
        public BigDecimal $promised,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('item_number'),
            $row->text('item_name'),
            $row->text('unit'),
            $row->text('place'),
            $row->enum('condition', Condition::class),
            $row->textOrNull('owner'),
            $row->int('lot_id'),
            $row->textOrNull('lot'),
            $row->textOrNull('last_lot'),
            $row->int('serials'),
            $row->textOrNull('expires_on'),
            ($row->intOrNull('is_expired') ?? 0) === 1,
            $row->decimal('quantity'),
            $row->int('value'),
            $row->decimal('promised'),
        );
    }

    public function isFree(): bool
    {
        return $this->condition === Condition::Free;
    }

    /** "Main stores L-17 blocked" */
    public function says(): string
    {
        return $this->isFree() ? $this->where() : "{$this->where()} {$this->condition->label()}";
    }

    /** "Main stores L-17" */
    public function where(): string
    {
        return trim("{$this->place} {$this->lot}");
    }
}
