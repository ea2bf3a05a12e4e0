<?php

namespace App\Actions\Import;

use KeepPace\Core\Planning\OrderState;

/** What was going on when the shop went live. docs/formats.md says the same for people. */
final class OpeningFiles
{
    /** @return list<FileSpec> */
    public static function all(): array
    {
        return [
            self::openingStock(),
            self::purchases(),
            self::customerOrders(),
            self::orders(),
            self::orderSteps(),
            self::orderComponents(),
            self::work(),
        ];
    }

    private static function openingStock(): FileSpec
    {
        return new FileSpec(
            'opening-stock',
            ['item', 'place', 'lot'],
            [
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::refers('place', 'places', 'code', 'place_id', 'STORES'),
                Column::code('lot', 60, ''),
                Column::decimal('quantity', null, '0.000001'),
                Column::refers('unit', 'units', 'code', 'unit_id', ''),
                Column::decimal('value', null, '0', 2, '9999999999'),
                Column::date('expires_on', ''),
                Column::text('supplier_lot', 60, ''),
            ],
        );
    }

    private static function purchases(): FileSpec
    {
        return new FileSpec(
            'purchases',
            ['number', 'line'],
            [
                Column::code('number', 30),
                Column::wholeOrNone('line', '999'),
                Column::refers('supplier', 'suppliers', 'number', 'supplier_id'),
                Column::refers('item', 'items', 'number', 'item_id', ''),
                Column::text('words', 60, ''),
                Column::refers('unit', 'units', 'code', 'unit_id', ''),
                Column::code('for_order', 30, ''),
                Column::decimal('quantity', null, '0.000001'),
                Column::decimal('price', '0', most: '9999999'),
                Column::date('expected_on'),
                Column::choice('state', OpeningPurchases::STATES, OpeningPurchases::SENT),
                Column::text('reference', 60, ''),
            ],
        );
    }

    private static function customerOrders(): FileSpec
    {
        return new FileSpec(
            'customer-orders',
            ['number', 'line'],
            [
                Column::code('number', 30),
                Column::refers('customer', 'customers', 'number', 'customer_id'),
                Column::text('reference', 60, ''),
                Column::whole('line', null, '1'),
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::decimal('quantity', null, '0.000001'),
                Column::refers('unit', 'units', 'code', 'unit_id', ''),
                Column::decimal('price', '', most: '9999999'),
                Column::date('promised_on'),
            ],
        );
    }

    private static function orders(): FileSpec
    {
        return new FileSpec(
            'orders',
            ['number'],
            [
                Column::code('number', 30),
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::decimal('quantity', null, '0.000001'),
                Column::date('due_on', ''),
                Column::choice('state', [OrderState::Firm->value, OrderState::Released->value], 'firm'),
                Column::text('customer_order', 30, ''),
                Column::whole('line', ''),
                ...array_map(fn (string $kind): Column => Column::decimal($kind, '0', max: 2, most: '9999999999'), [
                    'material',
                    'labour',
                    'machine',
                    'overhead',
                    'outside',
                ]),
            ],
        );
    }

    private static function orderSteps(): FileSpec
    {
        return new FileSpec(
            'order-steps',
            ['order', 'step'],
            [
                Column::text('order', 30),
                Column::whole('step', null, '1'),
                Column::decimal('taken_in', '0'),
                Column::decimal('good', '0'),
                Column::decimal('scrap', '0'),
                Column::decimal('passed_on', '0'),
                Column::decimal('at_supplier', ''),
                Column::date('sent_on', ''),
                Column::date('back_on', ''),
            ],
        );
    }

    /** Work ordered of suppliers. */
    private static function work(): FileSpec
    {
        return new FileSpec(
            'work-orders',
            ['number', 'line'],
            [
                Column::code('number', 30),
                Column::wholeOrNone('line', '999'),
                Column::text('order', 30),
                Column::whole('step', null, '1'),
                Column::decimal('quantity', null, '0.000001'),
                Column::decimal('price', '', most: '9999999'),
                Column::date('expected_on'),
                Column::choice('state', OpeningPurchases::STATES, OpeningPurchases::SENT),
                Column::text('reference', 60, ''),
            ],
        );
    }

    private static function orderComponents(): FileSpec
    {
        return new FileSpec(
            'order-components',
            ['order', 'component'],
            [
                Column::text('order', 30),
                Column::refers('component', 'items', 'number', 'component_id'),
                Column::decimal('used'),
            ],
        );
    }
}
