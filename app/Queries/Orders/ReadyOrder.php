<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Tracking;

/** An order with good pieces at its last step, to be taken into stock. */
final readonly class ReadyOrder
{
    /**
     * @param  string|null  $customers  whom it is made for; null = an order, or the shelf
     * @param  bool  $isPutTogether  it has no steps: it is booked as a build, with its parts
     * @param  list<BesideLine>  $beside  what comes back of it
     * @param  list<string>  $waiting  numbers of orders that wait for it, the first first
     */
    public function __construct(
        public int $id,
        public string $number,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $ready,
        private BigDecimal $received,
        private BigDecimal $quantity,
        private ?string $customers,
        private ?string $forOrder,
        private Tracking $tracking,
        public bool $isPutTogether,
        public array $beside,
        private array $waiting,
    ) {
    }

    /**
     * @param  list<BesideLine>  $beside
     * @param  list<string>  $waiting
     */
    public static function from(Row $row, array $beside, array $waiting): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->decimal('ready'),
            $row->decimal('received_quantity'),
            $row->decimal('quantity'),
            $row->textOrNull('customers'),
            $row->textOrNull('for_number'),
            $row->enum('tracking', Tracking::class),
            $row->flag('is_put_together'),
            $beside,
            $waiting,
        );
    }

    /** How much of something goes with all the pieces that are ready. */
    public function goesWith(BesideLine $line): BigDecimal
    {
        return $line->due($this->received->plus($this->ready));
    }

    public function isForSomebody(): bool
    {
        return $this->customers !== null;
    }

    /** Taken in and sent on in one deed. */
    public function canGoOn(): bool
    {
        return $this->isForSomebody() && $this->ready->isPositive();
    }

    /** Orders in the shop take it as soon as it is there. */
    public function isWaitedFor(): bool
    {
        return $this->waiting !== [] && $this->ready->isPositive();
    }

    /** "462", "462 +2" */
    public function waitsSays(): string
    {
        $more = count($this->waiting) - 1;

        return ($this->waiting[0] ?? '').($more > 0 ? " +{$more}" : '');
    }

    public function forWhom(): string
    {
        return $this->customers ?? $this->forOrder ?? 'the shelf';
    }

    /** "2 of 6" */
    public function receivedSays(): string
    {
        return Figures::amount((string) $this->received).' of '.Figures::amount((string) $this->quantity);
    }

    public function takesCodes(): bool
    {
        return $this->tracking->isTracked();
    }

    public function codesLabel(): string
    {
        return ($this->tracking === Tracking::Lot ? 'Lot' : 'Serials, one a line,')." of {$this->number}";
    }

    /** What they are when none are typed. */
    public function codesHint(): string
    {
        return $this->tracking === Tracking::Lot ? "lot: {$this->number}" : 'serials: by numbering';
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "receive-{$this->id}";
    }
}
