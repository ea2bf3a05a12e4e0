<?php

namespace App\Actions\Import;

use Generator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What is kept, row by row in the very form the import reads: so it goes out, and so it comes in again. */
final class StoredRows
{
    /** Files of product data, in the order in which they are read. */
    public const FILES = [
        'units',
        'customers',
        'customer-contacts',
        'suppliers',
        'supplier-contacts',
        'places',
        'shifts',
        'holidays',
        'work-centres',
        'people',
        'items',
        'item-units',
        'supplier-items',
        'substitutes',
        'customer-items',
        'item-prices',
        'routings',
        'changeovers',
        'structures',
    ];

    /**
     * @param  (callable(Builder): mixed)|null  $narrow  of structures and routings AS r, of others AS t
     * @return Generator<int, array<string, ?string>> by column
     */
    public static function of(FileSpec $spec, ?callable $narrow = null): Generator
    {
        $query = match ($spec->name) {
            'customer-contacts' => self::contacts('customer'),
            'supplier-contacts' => self::contacts('supplier'),
            'shifts' => self::shifts(),
            'holidays' => self::holidays(),
            'supplier-items' => self::supplierItems(),
            'substitutes' => self::substitutes(),
            'customer-items' => self::customerItems(),
            'item-prices' => self::itemPrices(),
            'routings' => self::routings(),
            'changeovers' => self::changeovers(),
            'structures' => self::structures(),
            default => self::table($spec),
        };
        $narrow === null ?: $narrow($query);
        foreach ($query->cursor() as $stored) {
            $values = get_object_vars($stored);
            $row = [];
            foreach ($spec->columns as $column) {
                $row[$column->name] = $column->written($values[$column->name] ?? null);
            }
            yield $row;
        }
    }

    private static function table(FileSpec $spec): Builder
    {
        $query = DB::table("{$spec->table} AS t")->orderBy('t.id');
        foreach ($spec->columns as $n => $column) {
            if (! $column->isKept()) {
                $query->selectSub(self::firstContact($spec->name), $column->name);

                continue;
            }
            if ($column->refers !== null) {
                [$table, $code] = $column->refers;
                $query->leftJoin("{$table} AS r{$n}", "r{$n}.id", "t.{$column->into}")
                    ->addSelect("r{$n}.{$code} AS {$column->name}");
            } else {
                $query->addSelect("t.{$column->into} AS {$column->name}");
            }
            // places that are no stores, and people who only log in, are none of the file's
            $column->default !== null ?: $query->whereNotNull("t.{$column->into}");
            $column->type !== 'choice' || $column->stored !== []
                ?: $query->whereIn("t.{$column->into}", $column->choices);
        }

        return $query;
    }

    /** @param  string  $of  customers or suppliers, AS t */
    private static function firstContact(string $of): Builder
    {
        $key = rtrim($of, 's').'_id';

        return DB::table('contacts AS k')->whereColumn("k.{$key}", 't.id')->where('k.position', 1)->select('k.name');
    }

    /** @param  string  $of  customer or supplier */
    private static function contacts(string $of): Builder
    {
        $ways = fn (string $kind): Builder => DB::table('contact_ways AS y')
            ->whereColumn('y.contact_id', 't.id')
            ->where('y.kind', $kind)
            ->selectRaw("GROUP_CONCAT(y.at ORDER BY y.id SEPARATOR '|')");

        return DB::table('contacts AS t')
            ->join("{$of}s AS p", 'p.id', "t.{$of}_id")
            ->orderBy('p.id')
            ->orderBy('t.position')
            ->select(["p.number AS {$of}", 't.name', 't.asked_about'])
            ->selectSub($ways('phone'), 'phones')
            ->selectSub($ways('mail'), 'mails');
    }

    private static function shifts(): Builder
    {
        return DB::table('shifts AS t')
            ->join('calendars AS c', 'c.id', 't.calendar_id')
            ->orderBy('t.id')
            ->select(['c.code AS calendar', 't.weekday', 't.from_time AS from', 't.to_time AS to'])
            ->selectRaw("IF(t.is_break, 'break', 'work') AS kind");
    }

    private static function holidays(): Builder
    {
        return DB::table('calendar_days AS t')
            ->join('calendars AS c', 'c.id', 't.calendar_id')
            ->orderBy('t.id')
            ->select(['c.code AS calendar', 't.date', 't.kind', 't.from_time AS from', 't.to_time AS to', 't.name']);
    }

    private static function supplierItems(): Builder
    {
        $prices = DB::table('supplier_prices AS p')
            ->whereColumn('p.supplier_item_id', 't.id')
            ->selectRaw("GROUP_CONCAT(CONCAT(p.from_quantity, ':', p.price) ORDER BY p.from_quantity SEPARATOR ' ')");

        return DB::table('supplier_items AS t')
            ->join('items AS i', 'i.id', 't.item_id')
            ->join('suppliers AS v', 'v.id', 't.supplier_id')
            ->orderBy('t.id')
            ->select(['i.number AS item', 'v.number AS supplier', 't.number', 't.minimum_quantity AS minimum'])
            ->addSelect('t.lead_time_days')
            ->selectSub($prices, 'prices')
            ->addSelect('t.over_percent')
            ->selectRaw('t.setup_cents / 100 AS setup_charge, t.minimum_cents / 100 AS least_charge')
            ->selectSub(
                DB::table('supplier_item_parts AS a')
                    ->join('items AS b', 'b.id', 'a.item_id')
                    ->whereColumn('a.supplier_item_id', 't.id')
                    ->selectRaw("GROUP_CONCAT(CONCAT(b.number, ':', TRIM(TRAILING '.' FROM TRIM(TRAILING '0' FROM
                        a.quantity))) ORDER BY a.position SEPARATOR ' ')"),
                'along',
            )
            ->addSelect('t.transport_days');
    }

    private static function substitutes(): Builder
    {
        return DB::table('item_substitutes AS t')
            ->join('items AS i', 'i.id', 't.item_id')
            ->join('items AS s', 's.id', 't.substitute_id')
            ->orderBy('t.item_id')
            ->orderBy('t.position')
            ->select(['i.number AS item', 's.number AS substitute', 't.p', 't.q', 't.until_on AS until']);
    }

    private static function customerItems(): Builder
    {
        return DB::table('customer_items AS t')
            ->join('items AS i', 'i.id', 't.item_id')
            ->join('customers AS c', 'c.id', 't.customer_id')
            ->orderBy('t.id')
            ->select(['c.number AS customer', 't.number', 'i.number AS item']);
    }

    private static function itemPrices(): Builder
    {
        return DB::table('item_prices AS t')
            ->join('items AS i', 'i.id', 't.item_id')
            ->groupBy('t.item_id', 't.level_key')
            ->orderBy('t.item_id')
            ->orderBy('t.level_key')
            ->selectRaw('MIN(i.number) AS item, MIN(t.level) AS level')
            ->selectRaw(
                "GROUP_CONCAT(CONCAT(t.from_quantity, ':', t.price) ORDER BY t.from_quantity SEPARATOR ' ') AS prices",
            );
    }

    private static function routings(): Builder
    {
        return DB::table('routing_steps AS l')
            ->join('routings AS r', 'r.id', 'l.routing_id')
            ->join('items AS i', 'i.id', 'r.item_id')
            ->leftJoin('work_centres AS w', 'w.id', 'l.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 'l.supplier_id')
            ->orderBy('r.id')
            ->orderBy('l.number')
            ->select(['l.*', 'i.number AS item', 'r.revision', 'r.status', 'r.effective_from', 'l.number AS step'])
            ->leftJoin('families AS f', 'f.id', 'l.family_id')
            ->leftJoin('items AS e', 'e.id', 'l.service_item_id')
            ->addSelect(['w.code AS work_centre', 'v.number AS supplier', 'f.code AS family', 'e.number AS service'])
            ->selectRaw('IF(l.may_be_interrupted, 0, 1) AS unbroken, l.transfer_quantity AS transfer')
            ->selectRaw('l.setup_cents / 100 AS setup_charge, l.minimum_cents / 100 AS minimum')
            ->selectSub(
                DB::table('routing_step_ways AS y')
                    ->join('work_centres AS o', 'o.id', 'y.work_centre_id')
                    ->whereColumn('y.routing_step_id', 'l.id')
                    ->selectRaw("GROUP_CONCAT(IF(y.percent = 100, o.code, CONCAT(o.code, ':', y.percent))
                        ORDER BY y.id SEPARATOR '|')"),
                'alternatives',
            );
    }

    private static function changeovers(): Builder
    {
        return DB::table('changeovers AS t')
            ->join('work_centres AS w', 'w.id', 't.work_centre_id')
            ->join('families AS a', 'a.id', 't.from_family_id')
            ->join('families AS z', 'z.id', 't.to_family_id')
            ->orderBy('t.id')
            ->select(['w.code AS work_centre', 'a.code AS from', 'z.code AS to', 't.minutes']);
    }

    private static function structures(): Builder
    {
        return DB::table('structure_lines AS l')
            ->join('structures AS r', 'r.id', 'l.structure_id')
            ->join('items AS i', 'i.id', 'r.item_id')
            ->join('items AS c', 'c.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'l.unit_id')
            ->orderBy('r.id')
            ->orderBy('l.position')
            ->select(['l.*', 'i.number AS item', 'r.revision', 'r.effective_from', 'l.gives AS comes_back'])
            // what comes out stands below zero
            ->selectRaw('IF(l.gives IS NULL, l.quantity, -l.quantity) AS quantity')
            // what waits until a part is used up is in force nowhere else either
            ->selectRaw("IF(r.waits_for_item_id IS NULL, r.status, 'draft') AS status")
            ->addSelect(['c.number AS component', 'u.code AS unit', 'l.step_number AS step']);
    }
}
