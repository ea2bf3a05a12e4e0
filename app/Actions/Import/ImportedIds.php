<?php

namespace App\Actions\Import;

use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Ids of what the files of an import refer to, and codes of ids; read once for each table. */
final class ImportedIds
{
    /** @var array<string, array<string, int>> ids by "table.column" and key */
    private array $ids = [];

    /** @var array<string, array<int, string>> codes by table and id */
    private array $codes = [];

    /**
     * Id of a row by its code or number.
     *
     * @param  array{string, string}  $refers table and column
     */
    public function of(array $refers, ?string $value): ?int
    {
        if ($value === null || $value === '') {
            return null;
        }
        $what = implode('.', $refers);
        $this->ids[$what] ??= DB::table($refers[0])->pluck('id', $refers[1])
            ->mapWithKeys(fn ($id, $code): array => [Code::keyOf((string) $code) => (int) $id])->all();

        return $this->ids[$what][Code::keyOf($value)]
            ?? throw new \LogicException("{$what} {$value} was checked but is not there.");
    }

    /** Rows came to tables: they are read anew. */
    public function forget(): void
    {
        $this->ids = [];
    }

    /** A value as it stands in the file: what it refers to by its code. */
    public function word(?Column $column, mixed $value): string
    {
        if ($column?->refers === null || $value === null) {
            return (string) ($column === null || $column->stored === [] ? $value : $column->written($value));
        }
        [$table, $code] = $column->refers;
        $this->codes[$table] ??= DB::table($table)->pluck($code, 'id')->all();

        return (string) ($this->codes[$table][$value] ?? $value);
    }
}
