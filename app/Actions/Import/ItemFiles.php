<?php

namespace App\Actions\Import;

use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** Items, and what hangs on them. docs/formats.md says the same for people. */
final class ItemFiles
{
    /** @return list<FileSpec> */
    public static function all(): array
    {
        return [
            self::items(),
            self::itemUnits(),
            self::supplierItems(),
            self::substitutes(),
            self::customerItems(),
            self::itemPrices(),
        ];
    }

    private static function items(): FileSpec
    {
        return new FileSpec(
            'items',
            ['number'],
            [
                Column::code('number', 40),
                Column::text('name', 100),
                Column::choice('kind', array_column(ItemKind::cases(), 'value')),
                Column::refers('unit', 'units', 'code', 'unit_id'),
                Column::choice('tracking', array_column(Tracking::cases(), 'value'), 'none'),
                Column::choice('cover_for', ['line', 'shelf'], 'line'),
                Column::refers('supplier', 'suppliers', 'number', 'supplier_id', ''),
                Column::whole('lead_time_days', '0', most: '999'),
                Column::decimal('reorder_point', '0'),
                Column::decimal('safety_stock', '0'),
                Column::money('cost'),
                Column::money('price'),
                Column::choice('costing', ['average', 'fifo', 'standard', 'own'], 'average'),
                ...self::ordered(),
            ],
            'items',
        );
    }

    /** @return list<Column> of an item: how it is issued, told of and ordered */
    private static function ordered(): array
    {
        return [
            Column::decimal('minimum_issue', '0'),
            Column::choice('lot_rule', ['oldest', 'expiry', 'ask'], 'oldest'),
            Column::whole('minimum_days', '0'),
            Column::whole('inspection_days', '0', most: '60'),
            Column::decimal('weight', ''),
            Column::decimal('volume', ''),
            Column::text('category', 40, ''),
            Column::text('description', 5000, ''),
            Column::decimal('usual_lot', '0'),
            Column::yes('running_out', 'is_running_out'),
            Column::choice('ordered_by', ['need', 'level'], 'level'),
            Column::choice('lot_sizing', array_column(LotSizing::cases(), 'value'), 'as_needed'),
            Column::decimal('lot_quantity', '0'),
            Column::decimal('lot_least', '0'),
            Column::text('makers_number', 60, ''),
            Column::text('number_rule', 40, ''),
            Column::whole('over_percent', '0', most: '100'),
            Column::yes('built_for_line', 'is_built_for_line'),
            Column::yes('parts_if_missing', 'is_parts_if_missing'),
        ];
    }

    private static function itemUnits(): FileSpec
    {
        return new FileSpec(
            'item-units',
            ['item', 'unit'],
            [
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::refers('unit', 'units', 'code', 'unit_id'),
                Column::whole('p', null, '1', '999999999'),
                Column::whole('q', '1', '1', '999999999'),
            ],
            'item_units',
        );
    }

    private static function supplierItems(): FileSpec
    {
        return new FileSpec(
            'supplier-items',
            ['item', 'supplier'],
            [
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::refers('supplier', 'suppliers', 'number', 'supplier_id'),
                Column::text('number', 60, ''),
                Column::decimal('minimum', '0'),
                Column::whole('lead_time_days', '0', most: '999'),
                Column::prices('prices'),
                Column::wholeOrNone('over_percent', '100'),
                Column::money('setup_charge', 2, '999999'),
                Column::money('least_charge', 2, '999999'),
                Column::text('along', 200, ''),
                Column::whole('transport_days', '0', most: '60'),
            ],
        );
    }

    private static function substitutes(): FileSpec
    {
        return new FileSpec(
            'substitutes',
            ['item', 'substitute'],
            [
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::refers('substitute', 'items', 'number', 'substitute_id'),
                Column::whole('p', '1', '1', '999999999'),
                Column::whole('q', '1', '1', '999999999'),
                Column::date('until', ''),
            ],
        );
    }

    private static function customerItems(): FileSpec
    {
        return new FileSpec(
            'customer-items',
            ['customer', 'number'],
            [
                Column::refers('customer', 'customers', 'number', 'customer_id'),
                Column::text('number', 60),
                Column::refers('item', 'items', 'number', 'item_id'),
            ],
        );
    }

    private static function itemPrices(): FileSpec
    {
        return new FileSpec(
            'item-prices',
            ['item', 'level'],
            [
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::text('level', 20, ''),
                Column::prices('prices'),
            ],
        );
    }
}
