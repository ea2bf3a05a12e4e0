<?php

namespace App\Settings;

/** What is given running numbers. */
enum Numbered: string
{
    case Order = 'order';
    case CustomerOrder = 'customer_order';
    case Purchase = 'purchase';
    case Consignment = 'consignment';
    case Serial = 'serial';

    public function label(): string
    {
        return match ($this) {
            self::Order => 'order',
            self::CustomerOrder => 'customer order',
            self::Purchase => 'purchase order',
            self::Consignment => 'consignment to a supplier',
            self::Serial => 'serial of ours',
        };
    }

    /** @return array{string, string} table and column its numbers stand in */
    public function column(): array
    {
        return match ($this) {
            self::Order => ['orders', 'number'],
            self::CustomerOrder => ['customer_orders', 'number'],
            self::Purchase => ['purchase_orders', 'number'],
            self::Consignment => ['consignments', 'number'],
            self::Serial => ['lots', 'code'],
        };
    }
}
