<?php

namespace App\Shop;

use App\Reading\Row;

/** A step as an explanation of lateness names it. */
final readonly class WhyStep
{
    /** @param  string  $where  work centre or supplier; '' = neither */
    private function __construct(
        public int $id,
        public int $order,
        public string $number,
        public string $name,
        public string $where,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('where'),
        );
    }

    /** What stands for an order without steps, and for a step that is no longer there (order null). */
    public static function standIn(int $id, ?int $order): self
    {
        return new self($id, $order ?? 0, '', $order === null ? '' : 'put together', '');
    }
}
