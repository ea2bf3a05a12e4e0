<?php

namespace App\Queries\Today;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What a shop needs before its first order, in the order it is best entered; what is there already is ticked. */
final readonly class FirstThings
{
    /** Page, what for, and by what it is known to be there. */
    private const THINGS = [
        'When the plant works' => ['calendars.index', 'The hours of a week, and the days that differ.', []],
        'Work centres' => [
            'centres.index',
            'Where work is done: how many machines, whose hours, what an hour costs.',
            ['centres'],
        ],
        'Items' => ['items.index', 'What is bought, made and sold, and what each is counted in.', ['items']],
        'Structures and routings' => [
            'items.index',
            'On the page of an item that is made: what it is made of, by which steps. Drawn up, then approved.',
            ['structures'],
        ],
        'Customers' => ['customers.index', 'And suppliers, beside them.', ['customers', 'suppliers']],
        'What lies in the stores' => ['stock.index', 'Counted once, with its value.', ['stock']],
        'Who else logs in' => ['people.index', 'Each with one role or more.', ['people']],
        'The first customer order' => [
            'customer-orders.index',
            'Cover it, and what has to be made and bought for it is there.',
            [],
        ],
    ];

    /** @param  list<FirstThing>  $things */
    private function __construct(public array $things)
    {
    }

    /** null = somebody ordered already, or an order is there: this shop has begun. */
    public static function stillToDo(): ?self
    {
        $there = Row::first(self::counted(), fn (Row $row): Row => $row);

        return $there === null || $there->flag('begun') ? null : new self(self::all($there));
    }

    private static function counted(): Builder
    {
        return DB::query()
            ->selectRaw('EXISTS (SELECT 1 FROM orders) OR EXISTS (SELECT 1 FROM customer_orders) AS begun')
            ->selectRaw('EXISTS (SELECT 1 FROM work_centres) AS centres')
            ->selectRaw('EXISTS (SELECT 1 FROM items) AS items')
            ->selectRaw("EXISTS (SELECT 1 FROM structures WHERE status = 'approved') AS structures")
            ->selectRaw('EXISTS (SELECT 1 FROM customers) AS customers')
            ->selectRaw('EXISTS (SELECT 1 FROM suppliers) AS suppliers')
            ->selectRaw('EXISTS (SELECT 1 FROM moves) AS stock')
            ->selectRaw('(SELECT COUNT(*) FROM people WHERE login IS NOT NULL) > 1 AS people');
    }

    /** @return list<FirstThing> */
    private static function all(Row $there): array
    {
        $all = [];
        foreach (self::THINGS as $name => [$route, $says, $flags]) {
            $missing = array_filter($flags, fn (string $flag): bool => ! $there->flag($flag));
            $all[] = new FirstThing($name, $route, $says, $flags !== [] && $missing === []);
        }

        return $all;
    }
}
