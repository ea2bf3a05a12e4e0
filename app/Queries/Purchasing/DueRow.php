<?php

namespace App\Queries\Purchasing;

use App\Reading\Row;
use App\Shop\Deliveries;
use App\Wording\ArrivalWords;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\Arrival;

/** One thing that is due from a supplier: a purchase line, or pieces that are with them. */
final readonly class DueRow
{
    public const LINE = 'lines';

    public const HANDFUL = 'back';

    /**
     * @param  'lines'|'back'  $kind
     * @param  int  $id  of the line or the handful
     * @param  string  $document  how it is called: "P-558/1", "order 218, step 40"
     * @param  string  $to  its page
     * @param  string  $given  "YYYY-MM-DD", as it was said last
     * @param  bool  $isUnknown  nobody knows when it comes
     * @param  string  $history  what became of days said before
     * @param  list<HeldUp>  $holdsUp  latest first
     */
    private function __construct(
        public string $kind,
        public int $id,
        public string $document,
        public string $to,
        public int $supplierId,
        public string $supplier,
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public string $unit,
        public string $given,
        public bool $isConfirmed,
        public bool $isUnknown,
        private Arrival $arrival,
        public string $history,
        public array $holdsUp,
    ) {
    }

    /** @param  list<HeldUp>  $waiting */
    public static function line(Row $row, Deliveries $deliveries, array $waiting): self
    {
        $given = $row->text('expected_on');
        $again = $row->textOrNull('ask_again_on');

        return new self(
            self::LINE,
            $row->int('id'),
            $row->text('number'),
            route('purchases.show', $row->int('purchase_order_id')),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->text('item'),
            $row->text('item_number'),
            $row->decimal('open'),
            $row->text('unit'),
            $given,
            $row->textOrNull('confirmed_on') !== null,
            $again !== null,
            $deliveries->ordered($given, $again),
            self::history($row, $row->textOrNull('first_expected_on') ?? $given, $given, $deliveries->today),
            $waiting,
        );
    }

    /** Somebody took the pieces in there: that needs no confirming. */
    public static function handful(Row $row, Deliveries $deliveries): self
    {
        $back = $row->text('back_at');
        $given = CarbonImmutable::parse($back)->setTimezone(config()->string('pace.zone'))->toDateString();
        $first = $row->textOrNull('first_back_at') ?? $back;

        return new self(
            self::HANDFUL,
            $row->int('id'),
            "order {$row->text('number')}, {$row->text('step')} {$row->text('step_name')}",
            route('orders.show', $row->int('order_id')),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->text('item'),
            $row->text('item_number'),
            $row->decimal('away'),
            $row->text('unit'),
            $given,
            true,
            $row->textOrNull('ask_again_on') !== null,
            $deliveries->back($back, $row->textOrNull('ask_again_on')),
            self::history($row, $first, $given, $deliveries->today),
            [new HeldUp($row->int('order_id'), $row->text('number'), $row->int('late'))],
        );
    }

    private static function history(Row $row, string $first, string $given, string $today): string
    {
        return ArrivalWords::history($first, $row->int('days_passed') + ($given < $today ? 1 : 0));
    }

    public function isLate(): bool
    {
        return $this->arrival->isLate();
    }

    public function arrivalSays(): string
    {
        return ArrivalWords::day($this->arrival);
    }

    /** Open minutes of the latest order that waits for it. */
    public function worst(): int
    {
        return $this->holdsUp === [] ? 0 : $this->holdsUp[0]->late;
    }

    /** Orders that wait for it and are late. */
    public function lateOrders(): int
    {
        return count(array_filter($this->holdsUp, fn (HeldUp $one): bool => $one->isLate()));
    }

    /** Overdue, or an order that waits for it is late, or nobody has said that it comes. */
    public function wantsChasing(): bool
    {
        return $this->isLate() || $this->lateOrders() > 0 || ! $this->isConfirmed;
    }

    /** Why it is on the list, the gravest first. */
    public function why(): string
    {
        return match (true) {
            $this->lateOrders() > 0 => 'holds up',
            $this->isLate() => 'overdue',
            default => 'not confirmed',
        };
    }

    /** One of its fields among those of the sheet. */
    public function field(string $name): string
    {
        return "{$this->kind}[{$this->id}][{$name}]";
    }

    /** Its name among the errors. */
    public function key(string $name = ''): string
    {
        return "{$this->kind}.{$this->id}".($name === '' ? '' : ".{$name}");
    }
}
