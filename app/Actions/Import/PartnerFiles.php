<?php

namespace App\Actions\Import;

/** Customers and suppliers, and whom to ask for. docs/formats.md says the same for people. */
final class PartnerFiles
{
    /** @return list<FileSpec> */
    public static function all(): array
    {
        return [
            self::customers(),
            self::contacts('customer'),
            self::suppliers(),
            self::contacts('supplier'),
        ];
    }

    private static function customers(): FileSpec
    {
        return new FileSpec(
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
        );
    }

    private static function suppliers(): FileSpec
    {
        return new FileSpec(
            'suppliers',
            ['number'],
            [
                ...self::partner(),
                Column::money('minimum_order', max: 2),
                Column::whole('transport_days', '0', most: '60'),
                Column::wholeOrNone('over_percent', '100'),
                Column::weekdays('orders_on'),
                Column::weekdays('delivers_on'),
                Column::refers('calendar', 'calendars', 'code', 'calendar_id', ''),
            ],
            'suppliers',
        );
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
