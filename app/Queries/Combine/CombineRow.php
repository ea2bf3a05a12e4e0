<?php

namespace App\Queries\Combine;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** Something that could be made with others in one order: a customer line, or a firm order. */
final readonly class CombineRow
{
    private function __construct(
        public string $kind,
        public int $id,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $label,
        public int $leads,
        public string $forWhom,
        public BigDecimal $quantity,
        public ?string $dueOn,
    ) {
    }

    public static function line(Row $row): self
    {
        return self::made('line', $row, "{$row->text('number')} line {$row->int('position')}");
    }

    public static function order(Row $row): self
    {
        return self::made('order', $row, "order {$row->text('number')}");
    }

    /** Where it is shown. */
    public function url(): string
    {
        return $this->kind === 'line'
            ? route('customer-orders.show', $this->leads)
            : route('orders.show', $this->leads);
    }

    /** The name of its tick. */
    public function name(): string
    {
        return "{$this->kind}s[]";
    }

    private static function made(string $kind, Row $row, string $label): self
    {
        return new self(
            $kind,
            $row->int('id'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $label,
            $row->int('leads'),
            $row->textOrNull('for_whom') ?? 'the shelf',
            $row->decimal('quantity'),
            $row->textOrNull('due_on'),
        );
    }
}
