<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/** Rows of many tables, written a few thousand at a time; each names its columns, the others have their defaults. */
final class Bulk
{
    private const AT_ONCE = 2000;

    /** @var array<string, int> next id by table */
    private array $next = [];

    /** @var array<string, list<string>> rows waiting to be written, by table and columns */
    private array $rows = [];

    public function id(string $table): int
    {
        $this->next[$table] ??= 1 + (int) DB::table($table)->max('id');

        return $this->next[$table]++;
    }

    /** @param  array<string, int|string|null>  $row  without an id it is given the next */
    public function add(string $table, array $row): int
    {
        $row = ['id' => $row['id'] ?? $this->id($table), ...$row];
        $this->put($table, $row);

        return (int) $row['id'];
    }

    /** @param  array<string, int|string|null>  $row  of a table that numbers nothing */
    public function put(string $table, array $row): void
    {
        $into = "`{$table}` (`".implode('`,`', array_keys($row)).'`)';
        $this->rows[$into][] = '('.implode(',', array_map(self::literal(...), $row)).')';
        if (count($this->rows[$into]) === self::AT_ONCE) {
            $this->write($into);
        }
    }

    public function flush(): void
    {
        array_map($this->write(...), array_keys($this->rows));
    }

    private function write(string $into): void
    {
        DB::unprepared("INSERT INTO {$into} VALUES ".implode(',', $this->rows[$into]));
        unset($this->rows[$into]);
    }

    private static function literal(int|string|null $value): string
    {
        return match (true) {
            $value === null => 'NULL',
            is_int($value) => (string) $value,
            default => "'".addslashes($value)."'",
        };
    }
}
