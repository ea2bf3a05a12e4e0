<?php

namespace App\Papers;

use App\Actions\Import\Column;
use App\Actions\Import\FileSpec;
use App\Actions\Import\StoredRows;
use Illuminate\Database\Query\Builder;

/** Product data as a file in the very form the import reads; without money for who may not see it. */
final class ProductFile
{
    private int $count = 0;

    /** @param  bool  $withMoney  else columns of money are left out: read in again they blank none */
    public function __construct(private readonly FileSpec $spec, private readonly bool $withMoney)
    {
    }

    /**
     * @param  string  $format  csv or json
     * @param  (callable(Builder): mixed)|null  $narrow
     */
    public function write(string $path, string $format, ?callable $narrow = null): void
    {
        $file = fopen($path, 'wb') ?: throw new \RuntimeException("{$path} cannot be written.");
        $names = array_map(fn (Column $column): string => $column->name, $this->columns());
        $format === 'csv' ? fputcsv($file, $names, ',', '"', '') : fwrite($file, '[');
        foreach (StoredRows::of($this->spec, $narrow) as $row) {
            $cells = array_map(fn (string $name): string => (string) $row[$name], $names);
            if ($format === 'csv') {
                fputcsv($file, $cells, ',', '"', '');
            } else {
                $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;
                fwrite($file, ($this->count === 0 ? "\n" : ",\n").json_encode(array_combine($names, $cells), $flags));
            }
            $this->count++;
        }
        $format === 'csv' ?: fwrite($file, "\n]\n");
        fclose($file);
    }

    /** Rows that were written. */
    public function count(): int
    {
        return $this->count;
    }

    /** @return list<Column> */
    private function columns(): array
    {
        return array_values(array_filter(
            $this->spec->columns,
            fn (Column $column): bool => $this->withMoney || ! $column->isMoney,
        ));
    }
}
