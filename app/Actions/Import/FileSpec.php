<?php

namespace App\Actions\Import;

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

    public function column(string $name): ?Column
    {
        foreach ($this->columns as $column) {
            if ($column->name === $name) {
                return $column;
            }
        }

        return null;
    }
}
