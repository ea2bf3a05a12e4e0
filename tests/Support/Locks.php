<?php

namespace Tests\Support;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/**
 * Reads from the statements of a deed which locks it takes and when. Foundations 10: period, booking, draft, customer
 * orders, purchase orders, orders, items, drafts, numberings, the live plan; each kind by id; nothing else is locked;
 * all before the first write, but for numbers, which are drawn as they are needed.
 */
final class Locks
{
    private const ORDER = [
        'period',
        'bookings',
        'slips',
        'bills',
        'customer_orders',
        'purchase_orders',
        'orders',
        'item_stock',
        'items', // an item's own fields, under its stock
        'structures',
        'routings',
        'work_centres',
        'customers',
        'suppliers',
        'settings',
        'reasons',
        'units',
        'places',
        'attachments',
        'numberings',
        'plans',
        'people', // their own deeds lock nothing else
    ];

    /** @var list<array{table: string, ids: list<int>, afterWrite: string}> */
    public array $taken = [];

    /** @var list<string> */
    private array $wrong = [];

    private string $written = '';

    private string $last = '';

    /** @var array<string, list<int>> */
    private array $held = [];

    public function __construct()
    {
        Event::listen(TransactionBeginning::class, $this->begin(...));
        DB::listen($this->see(...));
    }

    /** @return list<string> what is out of order */
    public function wrong(): array
    {
        return $this->wrong;
    }

    private function begin(): void
    {
        $this->written = $this->last = '';
        $this->held = [];
    }

    private function see(QueryExecuted $query): void
    {
        $sql = strtolower($query->sql);
        if (preg_match('/(for update|lock in share mode)/', $sql) === 1) {
            preg_match('/from `?(\\w+)`?/', $sql, $from);
            $this->lock(
                $from[1] === 'numberings' && in_array('period', $query->bindings, true) ? 'period' : $from[1],
                $query,
                $sql,
            );
        } elseif (preg_match('/^(?:insert(?: ignore)? into|update|delete from) `?(\\w+)`?/', $sql, $to) === 1
            && ! in_array($to[1], ['bookings', 'item_stock', 'numberings', 'sessions', 'cache', 'jobs'], true)) {
            $this->written = $this->written ?: $to[1];
        }
    }

    private function lock(string $table, QueryExecuted $query, string $sql): void
    {
        preg_match_all('/ in \(([\d, ]+)\)/', $sql, $lists); // whole numbers stand in the statement itself
        $written = explode(',', implode(',', $lists[1]));
        $ids = array_values(array_map(
            intval(...),
            array_filter(
                [...$written, ...$query->bindings],
                fn (mixed $value): bool => ctype_digit(trim((string) $value)),
            ),
        ));
        $this->taken[] = ['table' => $table, 'ids' => $ids, 'afterWrite' => $this->written];
        $place = array_search($table, self::ORDER, true);
        if ($place === false) {
            $this->wrong[] = "{$table} is no lock of ours: {$sql}";

            return;
        }
        if ($this->last !== '' && $place < array_search($this->last, self::ORDER, true)) {
            $this->wrong[] = "{$table} after {$this->last}";
        }
        if ($this->written !== '' && ! in_array($table, ['numberings'], true)) {
            $this->wrong[] = "{$table} after {$this->written} was written";
        }
        $before = $this->held[$table] ?? [];
        $new = array_diff($ids, $before);
        if ($before !== [] && $new !== [] && min($new) < max($before) && $table !== 'plans') {
            $this->wrong[] = "{$table} ".min($new).' after '.max($before);
        }
        $this->held[$table] = [...$before, ...$ids];
        $this->last = $table;
    }
}
