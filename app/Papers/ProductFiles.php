<?php

namespace App\Papers;

use App\Actions\Import\Files;
use App\Models\Item;
use App\Models\Routing;
use App\Models\Structure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;
use ZipArchive;

/** Product data that are taken out: one file, or several packed into one. */
final readonly class ProductFiles
{
    /**
     * @param  string  $path  of what is sent
     * @param  array<string, int>  $rows  by file
     */
    private function __construct(public string $path, public array $rows, private string $folder)
    {
    }

    /**
     * @param  list<string>  $kinds  files of the import
     * @param  string  $format  csv or json
     * @param  Structure|Routing|Item|null  $of  what alone is taken out; null = all
     */
    public static function make(
        array $kinds,
        string $format,
        bool $withMoney,
        Structure|Routing|Item|null $of = null,
    ): self {
        $folder = sys_get_temp_dir().'/keep-pace-out-'.Str::uuid();
        mkdir($folder, 0700);
        $rows = [];
        foreach (array_intersect_key(Files::all(), array_flip($kinds)) as $name => $spec) {
            $file = new ProductFile($spec, $withMoney);
            $file->write("{$folder}/{$name}.{$format}", $format, self::only($of));
            $rows["{$name}.{$format}"] = $file->count();
        }
        $path = count($rows) === 1 ? "{$folder}/".array_key_first($rows) : self::packed($folder, array_keys($rows));

        return new self($path, $rows, $folder);
    }

    /** What was written is taken away when it was sent. */
    public function forget(): void
    {
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
    }

    /** @return callable(Builder): mixed */
    private static function only(Structure|Routing|Item|null $of): callable
    {
        return fn (Builder $query): Builder => match (true) {
            $of === null => $query,
            $of instanceof Item => $query->where(self::itemColumn($query), $of->id),
            default => $query->where('r.id', $of->id),
        };
    }

    private static function itemColumn(Builder $query): string
    {
        $from = is_string($query->from) ? $query->from : '';

        return match (true) {
            str_starts_with($from, 'items ') => 't.id',
            str_starts_with($from, 'item_units '), str_starts_with($from, 'supplier_items '),
            str_starts_with($from, 'customer_items '), str_starts_with($from, 'item_substitutes '),
            str_starts_with($from, 'item_prices ') => 't.item_id',
            default => 'r.item_id',
        };
    }

    /** @param  list<string>  $names */
    private static function packed(string $folder, array $names): string
    {
        $zip = new ZipArchive;
        $zip->open("{$folder}/product-data.zip", ZipArchive::CREATE);
        foreach ($names as $name) {
            $zip->addFile("{$folder}/{$name}", $name);
        }
        $zip->close();

        return "{$folder}/product-data.zip";
    }
}
