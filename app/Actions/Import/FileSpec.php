<?php

namespace App\Actions\Import;

use KeepPace\Core\Naming\Code;

/** One kind of import file: its columns, and what makes a line of it unique. */
final readonly class FileSpec
{
    /** What columns were called in files of before. */
    private const FORMER = ['lead_days' => 'lead_time_days'];

    /**
     * @param  list<string>  $key  columns that together are unique in the file
     * @param  list<Column>  $columns
     * @param  string|null  $table  written as it is, by the key; null = written by ImportFolder's own code
     */
    public function __construct(
        public string $name,
        public array $key,
        public array $columns,
        public ?string $table = null,
    ) {
    }

    public static function nameNow(string $written): string
    {
        return self::FORMER[$written] ?? $written;
    }

    public function file(): string
    {
        return "{$this->name}.csv";
    }

    /**
     * @param  list<string>  $names
     * @return list<string> its columns that are not among them
     */
    public function without(array $names): array
    {
        $all = array_map(fn (Column $column): string => $column->name, $this->columns);

        return array_values(array_diff($all, $names));
    }

    /**
     * What makes a row of it the same row.
     *
     * @param  array<string, ?string>  $row
     */
    public function keyOf(array $row): string
    {
        $part = fn (string $name): string => Code::keyOf((string) ($row[$name] ?? ''));

        return implode("\0", array_map($part, $this->key));
    }

    /** @return list<Column> that stand in its table */
    public function keptColumns(): array
    {
        return array_values(array_filter($this->columns, fn (Column $column): bool => $column->isKept()));
    }

    public function column(string $name): ?Column
    {
        foreach ($this->columns as $column) {
            if ($column->name === $name) {
                return $column;
            }
        }

        return null;
    }

    /**
     * Whether these can be the columns of a file; what cannot is told.
     *
     * @param  list<string>  $names
     * @param  callable(Problem): void  $problem
     */
    public function isRightFor(array $names, string $file, callable $problem): bool
    {
        $known = array_map(fn (Column $column): string => $column->name, $this->columns);
        $right = true;
        foreach ($this->columns as $column) {
            if ($column->default === null && ! in_array($column->name, $names, true)) {
                $problem(new Problem($file, 1, $column->name, 'this column is missing.'));
                $right = false;
            }
        }
        foreach (array_diff($names, $known) as $name) {
            $problem(new Problem($file, 1, $name, 'no such column. There are: '.implode(', ', $known).'.'));
            $right = false;
        }
        if (count(array_unique($names)) !== count($names)) {
            $problem(new Problem($file, 1, '', 'a column stands there twice.'));
            $right = false;
        }

        return $right;
    }
}
