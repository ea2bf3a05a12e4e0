<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use App\Shop\Handful;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\ValueThere;

/** Pieces of a step that are with its supplier: when they went, when they are due, what they are worth. */
final readonly class PiecesThere
{
    /**
     * @param  BigDecimal  $there  pieces
     * @param  int  $cents  part of what is in the order
     * @param  int|null  $next  number of the step behind it
     * @param  string|null  $nextSupplier  who does the step behind it, where that is outside
     * @param  string|null  $customer  for whose lines alone the order is, at its last step
     * @param  list<string>  $waiting  numbers of the orders that wait for what it makes
     * @param  list<Handful>  $handfuls  oldest first
     */
    private function __construct(
        public int $stepId,
        public int $supplierId,
        public string $supplier,
        public int $orderId,
        public string $order,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public int $number,
        public string $name,
        public BigDecimal $there,
        public int $cents,
        public ?int $next,
        private ?string $nextSupplier,
        private ?string $customer,
        private array $waiting,
        public array $handfuls,
    ) {
    }

    /**
     * @param  array<int, list<Handful>>  $handfuls  by step
     * @param  array<int, list<string>>  $waiting  numbers of orders, by item
     */
    public static function from(Row $row, array $handfuls, array $waiting): self
    {
        $there = $row->decimal('there');

        return new self(
            $row->int('id'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->int('number'),
            $row->text('name'),
            $there,
            ValueThere::of($row->int('in_order'), $there, $row->decimal('alive')),
            $row->intOrNull('next_number'),
            $row->textOrNull('next_supplier'),
            $row->textOrNull('customer'),
            $waiting[$row->int('item_id')] ?? [],
            $handfuls[$row->int('id')] ?? [],
        );
    }

    public function step(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** Its form among the others of a page. */
    public function form(string $deed): string
    {
        return "{$deed}-{$this->stepId}";
    }

    public function isLate(): bool
    {
        return array_filter($this->handfuls, fn (Handful $one): bool => $one->back->isLate()) !== [];
    }

    /** UTC minute at which the first of them is due. */
    public function dueBack(): int
    {
        return min([PHP_INT_MAX, ...array_map(fn (Handful $one): int => $one->back->at, $this->handfuls)]);
    }

    /** Days since the oldest of them went. */
    public function daysOut(CarbonImmutable $now): int
    {
        return $this->handfuls === [] ? 0 : $this->handfuls[0]->daysOut($now);
    }

    /** @return array<string, string> where the good ones can go; none but here where it is not asked */
    public function onward(): array
    {
        return array_filter([
            Onward::Here->value => 'come here',
            Onward::Supplier->value => $this->nextSupplier === null ? '' : "straight on to {$this->nextSupplier}",
            Onward::Customer->value => $this->next !== null || $this->customer === null
                ? ''
                : "straight to {$this->customer}",
            Onward::Waiting->value => $this->next !== null || $this->waiting === [] ? '' : $this->toWaiting(),
        ]);
    }

    /** "to order 214", "to the 3 orders that wait" */
    private function toWaiting(): string
    {
        return count($this->waiting) === 1
            ? "straight to order {$this->waiting[0]}"
            : 'straight to the '.count($this->waiting).' orders that wait';
    }

    public function canGoOn(): bool
    {
        return count($this->onward()) > 1;
    }

    /** What a touch does: "12 good, pass on", "12 good". */
    public function allGoodSays(string $pieces): string
    {
        return $this->next === null ? "All {$pieces} good" : "All {$pieces} good, pass on";
    }
}
