<?php

namespace App\Actions\Import;

use KeepPace\Core\Routing\WorkOrdered;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\OutputKind;

/** How items are made and what of. docs/formats.md says the same for people. */
final class MakingFiles
{
    /** @return list<FileSpec> */
    public static function all(): array
    {
        return [
            self::routings(),
            self::changeovers(),
            self::structures(),
            self::indented(),
        ];
    }

    private static function routings(): FileSpec
    {
        return new FileSpec(
            'routings',
            ['item', 'revision', 'step'],
            [
                ...self::revision(),
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
                ...self::seldom(),
            ],
        );
    }

    /** @return list<Column> of a step: what is seldom needed */
    private static function seldom(): array
    {
        return [
            Column::text('instructions', 500, ''),
            Column::text('family', 30, ''),
            Column::text('alternatives', 120, ''),
            Column::whole('setup_crew', '1', most: '99'),
            Column::yes('unbroken', 'unbroken'),
            Column::decimal('transfer', '', '0.000001', most: '9999999'),
            Column::text('qualification', 40, ''),
            Column::text('tools', 200, ''),
            Column::decimal('machine_minutes', '', '0', most: '99999'),
            Column::money('setup_charge', 2, '999999'),
            Column::money('minimum', 2, '999999'),
            Column::choice('work_ordered', array_column(WorkOrdered::cases(), 'value'), WorkOrdered::ByHand->value),
            Column::refers('service', 'items', 'number', 'service_item_id', ''),
            Column::whole('transport_days', '0', most: '60'),
        ];
    }

    private static function changeovers(): FileSpec
    {
        return new FileSpec(
            'changeovers',
            ['work_centre', 'from', 'to'],
            [
                Column::refers('work_centre', 'work_centres', 'code', 'work_centre_id'),
                Column::text('from', 30),
                Column::text('to', 30),
                Column::whole('minutes', null, most: '9999'),
            ],
        );
    }

    private static function structures(): FileSpec
    {
        return new FileSpec(
            'structures',
            ['item', 'revision', 'position'],
            [
                ...self::revision(),
                Column::whole('position', null, '1', '999999'),
                Column::refers('component', 'items', 'number', 'component_id'),
                Column::decimal('quantity', null, '-999999999'),
                ...self::line(),
                ...self::comesBack(),
            ],
        );
    }

    /** @return list<Column> of a line below zero */
    private static function comesBack(): array
    {
        return [
            Column::choice('comes_back', ['', ...array_column(OutputKind::BESIDE, 'value')], ''),
            Column::choice('share_rule', ['', 'quantity', 'value', 'percent', 'set_value'], ''),
            Column::moneyOrNone('share'),
        ];
    }

    private static function indented(): FileSpec
    {
        return new FileSpec(
            IndentedList::FILE,
            ['line'],
            [
                Column::whole('line', null, '1', '999999'),
                Column::whole('level', null, most: '99'),
                Column::refers('item', 'items', 'number', 'item_id'),
                Column::decimal('quantity', '1', '-999999999'),
                ...self::line(),
                ...self::comesBack(),
                Column::code('revision', 12, 'A'),
                Column::choice('status', ['approved', 'draft'], 'approved'),
                Column::date('effective_from', ''),
            ],
        );
    }

    /** @return list<Column> what every line of a revision begins with */
    private static function revision(): array
    {
        return [
            Column::refers('item', 'items', 'number', 'item_id'),
            Column::code('revision', 12, 'A'),
            Column::choice('status', ['approved', 'draft'], 'approved'),
            Column::date('effective_from', ''),
        ];
    }

    /** @return list<Column> of a structure behind its quantity: the same by revision and as an indented list */
    private static function line(): array
    {
        return [
            Column::refers('unit', 'units', 'code', 'unit_id', ''),
            Column::choice('basis', ['unit', 'order'], 'unit'),
            Column::decimal('scrap_percent', '0', max: 4),
            Column::whole('step', ''),
            Column::text('designators', 200, ''),
            Column::choice('issue_by', array_column(IssueBy::cases(), 'value'), 'hand'),
            Column::choice('supplied_by', ['us', 'customer'], 'us'),
        ];
    }
}
