<?php

namespace App\Actions\Import;

/** What the shop is: units, places, hours, work centres, people. docs/formats.md says the same for people. */
final class ShopFiles
{
    /** @return list<FileSpec> */
    public static function all(): array
    {
        return [
            self::units(),
            self::places(),
            self::shifts(),
            self::holidays(),
            self::workCentres(),
            self::people(),
        ];
    }

    private static function units(): FileSpec
    {
        return new FileSpec('units', ['code'],
            [
                Column::code('code', 12),
                Column::text('name', 40),
                Column::whole('decimals', '0', most: '6'),
                Column::text('rec20', 3, ''),
            ],
            'units');
    }

    private static function places(): FileSpec
    {
        return new FileSpec('places', ['code'],
            [
                Column::code('code', 20),
                Column::text('name', 60),
                Column::choice('kind', ['store', 'supplier'], 'store'),
            ],
            'places',
        );
    }

    private static function shifts(): FileSpec
    {
        return new FileSpec(
            'shifts',
            ['calendar', 'weekday', 'from', 'kind'],
            [
                Column::code('calendar', 20),
                Column::choice('weekday', ['1', '2', '3', '4', '5', '6', '7']),
                Column::time('from'),
                Column::time('to'),
                Column::choice('kind', ['work', 'break'], 'work'),
            ],
        );
    }

    private static function holidays(): FileSpec
    {
        return new FileSpec(
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
        );
    }

    private static function workCentres(): FileSpec
    {
        return new FileSpec(
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
                Column::wholeOrNone('overtime_hours', '8'),
                Column::yes('no_saturdays', 'no_saturdays'),
            ],
            'work_centres',
        );
    }

    private static function people(): FileSpec
    {
        return new FileSpec(
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
        );
    }
}
