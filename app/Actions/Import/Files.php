<?php

namespace App\Actions\Import;

use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\ItemKind;

/** All kinds of import file, in the order they are written. docs/formats.md says the same for people. */
final class Files
{
    /** @return array<string, FileSpec> by name */
    public static function all(): array
    {
        $revision = fn (): array => [
            Column::refers('item', 'items', 'number', 'item_id'), Column::code('revision', 12, 'A'),
            Column::choice('status', ['approved', 'draft'], 'approved'), Column::date('effective_from', ''),
        ];
        // of a structure behind its quantity: the same by revision and as an indented list
        $line = fn (): array => [
            Column::refers('unit', 'units', 'code', 'unit_id', ''),
            Column::choice('basis', ['unit', 'order'], 'unit'),
            Column::decimal('scrap_percent', '0', max: 4),
            Column::whole('step', ''),
            Column::text('designators', 200, ''),
            Column::choice('issue_by', array_column(IssueBy::cases(), 'value'), 'hand'),
            Column::choice('supplied_by', ['us', 'customer'], 'us'),
        ];
        $specs = [
            new FileSpec('units', ['code'],
                [
                    Column::code('code', 12),
                    Column::text('name', 40),
                    Column::whole('decimals', '0', most: '6'),
                    Column::text('rec20', 3, ''),
                ],
                'units'),
            new FileSpec(
                'customers',
                ['number'],
                [
                    ...self::partner(),
                    Column::text('ship_to', 200, ''),
                    Column::wholeOrNone('finish_days', '60'),
                    Column::yes('whole_only', 'is_whole_only'),
                    Column::text('price_level', 20, ''),
                ],
                'customers',
            ),
            self::contacts('customer'),
            new FileSpec(
                'suppliers',
                ['number'],
                [
                    ...self::partner(),
                    Column::money('minimum_order', max: 2),
                    Column::whole('transport_days', '0', most: '60'),
                    Column::weekdays('orders_on'),
                    Column::weekdays('delivers_on'),
                    Column::refers('calendar', 'calendars', 'code', 'calendar_id', ''),
                ],
                'suppliers',
            ),
            self::contacts('supplier'),
            new FileSpec('places', ['code'],
                [
                    Column::code('code', 20),
                    Column::text('name', 60),
                    Column::choice('kind', ['store', 'supplier'], 'store'),
                ],
                'places',
            ),
            new FileSpec(
                'shifts',
                ['calendar', 'weekday', 'from', 'kind'],
                [
                    Column::code('calendar', 20),
                    Column::choice('weekday', ['1', '2', '3', '4', '5', '6', '7']),
                    Column::time('from'),
                    Column::time('to'),
                    Column::choice('kind', ['work', 'break'], 'work'),
                ],
            ),
            new FileSpec(
                'holidays',
                ['calendar', 'date', 'kind', 'from'],
                [
                    Column::refers('calendar', 'calendars', 'code', 'calendar_id'),
                    Column::date('date'),
                    Column::choice('kind', ['closed', 'overtime'], 'closed'),
                    Column::time('from', ''),
                    Column::time('to', ''),
                    Column::text('name', 60, ''),
                ],
            ),
            new FileSpec(
                'work-centres',
                ['code'],
                [
                    Column::code('code', 20),
                    Column::text('name', 60),
                    Column::refers('calendar', 'calendars', 'code', 'calendar_id'),
                    Column::whole('machines', '1', '1', '999'),
                    Column::money('labour_rate', max: 4, most: '99999'),
                    Column::money('machine_rate', max: 4, most: '99999'),
                    Column::money('overhead_percent', max: 4, most: '9999'),
                    Column::money('overhead_hour', max: 4, most: '99999'),
                    Column::money('overhead_piece', max: 4, most: '99999'),
                    Column::whole('load_size', '0', most: '999999'),
                    Column::yes('changeovers', 'has_changeovers'),
                    Column::whole('other_changeover', '0', most: '9999'),
                ],
                'work_centres',
            ),
            new FileSpec(
                'people',
                ['number'],
                [
                    Column::code('number', 20),
                    Column::text('name', 80),
                    Column::refers('work_centre', 'work_centres', 'code', 'work_centre_id'),
                    Column::refers('calendar', 'calendars', 'code', 'calendar_id'),
                    Column::text('qualifications', 200, ''),
                ],
                'people',
            ),
            new FileSpec(
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
                    Column::decimal('minimum_issue', '0'),
                    Column::choice('lot_rule', ['oldest', 'expiry', 'ask'], 'oldest'),
                    Column::whole('minimum_days', '0'),
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
                ],
                'items',
            ),
            new FileSpec(
                'item-units',
                ['item', 'unit'],
                [
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::refers('unit', 'units', 'code', 'unit_id'),
                    Column::whole('p', null, '1', '999999999'),
                    Column::whole('q', '1', '1', '999999999'),
                ],
                'item_units',
            ),
            new FileSpec(
                'supplier-items',
                ['item', 'supplier'],
                [
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::refers('supplier', 'suppliers', 'number', 'supplier_id'),
                    Column::text('number', 60, ''),
                    Column::decimal('minimum', '0'),
                    Column::whole('lead_time_days', '0', most: '999'),
                    Column::prices('prices'),
                ],
            ),
            new FileSpec(
                'substitutes',
                ['item', 'substitute'],
                [
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::refers('substitute', 'items', 'number', 'substitute_id'),
                    Column::whole('p', '1', '1', '999999999'),
                    Column::whole('q', '1', '1', '999999999'),
                    Column::date('until', ''),
                ],
            ),
            new FileSpec(
                'customer-items',
                ['customer', 'number'],
                [
                    Column::refers('customer', 'customers', 'number', 'customer_id'),
                    Column::text('number', 60),
                    Column::refers('item', 'items', 'number', 'item_id'),
                ],
            ),
            new FileSpec(
                'item-prices',
                ['item', 'level'],
                [
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::text('level', 20, ''),
                    Column::prices('prices'),
                ],
            ),
            new FileSpec(
                'routings',
                ['item', 'revision', 'step'],
                [
                    ...$revision(),
                    Column::whole('step', null, '1'),
                    Column::text('name', 60),
                    Column::refers('work_centre', 'work_centres', 'code', 'work_centre_id', ''),
                    Column::refers('supplier', 'suppliers', 'number', 'supplier_id', ''),
                    Column::decimal('setup_minutes', '0', max: 2, most: '99999'),
                    Column::choice('run_basis', ['min_per_unit', 'units_per_hour', 'min_per_batch'], 'min_per_unit'),
                    Column::decimal('run_rate', '0', most: '99999'),
                    Column::decimal('batch', '1', '0.000001', most: '9999999'),
                    Column::whole('crew', '1', most: '99'),
                    Column::whole('wait_minutes', '0', most: '525600'),
                    Column::whole('move_minutes', '0', most: '525600'),
                    Column::whole('lead_time_days', '0', most: '999'),
                    Column::money('price'),
                    Column::text('instructions', 500, ''),
                    Column::text('family', 30, ''),
                    Column::text('alternatives', 120, ''),
                    Column::whole('setup_crew', '1', most: '99'),
                    Column::yes('unbroken', 'unbroken'),
                    Column::decimal('transfer', '', '0.000001', most: '9999999'),
                    Column::text('qualification', 40, ''),
                    Column::text('tools', 200, ''),
                    Column::decimal('machine_minutes', '', '0', most: '99999'),
                ],
            ),
            new FileSpec(
                'changeovers',
                ['work_centre', 'from', 'to'],
                [
                    Column::refers('work_centre', 'work_centres', 'code', 'work_centre_id'),
                    Column::text('from', 30),
                    Column::text('to', 30),
                    Column::whole('minutes', null, most: '9999'),
                ],
            ),
            new FileSpec(
                'structures',
                ['item', 'revision', 'position'],
                [
                    ...$revision(),
                    Column::whole('position', null, '1', '999999'),
                    Column::refers('component', 'items', 'number', 'component_id'),
                    Column::decimal('quantity', null, '0.000001'),
                    ...$line(),
                ],
            ),
            new FileSpec(
                IndentedList::FILE,
                ['line'],
                [
                    Column::whole('line', null, '1', '999999'),
                    Column::whole('level', null, most: '99'),
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::decimal('quantity', '1', '0.000001'),
                    ...$line(),
                    Column::code('revision', 12, 'A'),
                    Column::choice('status', ['approved', 'draft'], 'approved'),
                    Column::date('effective_from', ''),
                ],
            ),
            new FileSpec(
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
            ),
            new FileSpec(
                'purchases',
                ['number'],
                [
                    Column::code('number', 30),
                    Column::refers('supplier', 'suppliers', 'number', 'supplier_id'),
                    Column::refers('item', 'items', 'number', 'item_id'),
                    Column::decimal('quantity', null, '0.000001'),
                    Column::decimal('price', '0', most: '9999999'),
                    Column::date('expected_on'),
                ],
            ),
            new FileSpec(
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
            ),
            new FileSpec(
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
            ),
            new FileSpec(
                'order-steps',
                ['order', 'step'],
                [
                    Column::text('order', 30),
                    Column::whole('step', null, '1'),
                    Column::decimal('taken_in', '0'),
                    Column::decimal('good', '0'),
                    Column::decimal('scrap', '0'),
                    Column::decimal('passed_on', '0'),
                ],
            ),
            new FileSpec(
                'order-components',
                ['order', 'component'],
                [
                    Column::text('order', 30),
                    Column::refers('component', 'items', 'number', 'component_id'),
                    Column::decimal('used'),
                ],
            ),
        ];

        return array_combine(array_map(fn (FileSpec $spec): string => $spec->name, $specs), $specs);
    }

    /** @return list<Column> what is known of customers and suppliers alike */
    private static function partner(): array
    {
        return [
            Column::code('number', 20),
            Column::text('name', 80),
            Column::firstContact('contact'),
            Column::text('address', 200, ''),
            Column::text('terms', 120, ''),
            Column::text('note', 1000, ''),
        ];
    }

    /** Whom to ask for at one of them. */
    private static function contacts(string $of): FileSpec
    {
        return new FileSpec(
            "{$of}-contacts",
            [$of, 'name'],
            [
                Column::refers($of, "{$of}s", 'number', "{$of}_id"),
                Column::text('name', 80),
                Column::text('asked_about', 60, ''),
                Column::ways('phones'),
                Column::ways('mails'),
            ],
        );
    }
}
