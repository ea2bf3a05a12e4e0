<?php

namespace App\Actions\Import;

use App\Actions\Product\CustomerNumbers;
use App\Actions\Product\SalesPrices;
use App\Actions\Product\Substitutes;
use App\Actions\Product\TypedCustomerNumber;
use App\Actions\Product\TypedSalesPrices;
use App\Actions\Product\TypedSubstitute;
use App\Books\Ledger;
use App\Books\ProductChanges;
use App\Books\RowDiff;
use App\Models\Item;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Naming\Code;

/** Writes product data of a checked import: what is new is added, what differs is changed, the rest is left alone. */
final class ProductDataWriter
{
    private ProductChanges $changes;

    /** @var array<int, string> standard costs that changed, in euros by item: their stock is to be revalued */
    private array $costs = [];

    public function __construct(public readonly ImportedIds $ids)
    {
    }

    /**
     * @param  callable(string, int): void  $progress
     * @return array<int, string> standard costs that changed, in euros by item
     */
    public function write(Folder $folder, Ledger $ledger, ImportResult $result, callable $progress): array
    {
        $this->ids->forget();
        $this->costs = [];
        $this->changes = new ProductChanges($ledger->booking->id);
        $calendars = new CalendarWriter($folder, $result);
        $calendars->weeks();
        foreach (Files::all() as $spec) {
            if ($spec->name === 'holidays') {
                $calendars->days($this->ids);
            } elseif ($spec->table !== null && isset($folder->rows[$spec->name])) {
                $progress("Writing {$spec->file()}", 0);
                $this->table($folder->rows[$spec->name], $spec, $spec->table, $result);
                $this->ids->forget();
            }
        }
        (new ContactWriter($folder, $this->ids, $this->changes, $result))->write();
        (new SupplierItemWriter($folder, $this->ids, $this->changes, $result))->write();
        $this->called($folder, $result);
        $this->salesPrices($folder, $result);
        $this->substitutes($folder, $result);
        $revisions = new RevisionWriter($folder, $this->ids, $this->changes, $result);
        $revisions->routings();
        $revisions->structures();
        (new ChangeoverWriter($folder, $this->ids, $this->changes, $result))->write();
        $calendars->trail($this->changes);
        $this->changes->write();

        return $this->costs;
    }

    /** What customers pay, by level. */
    private function salesPrices(Folder $folder, ImportResult $result): void
    {
        $prices = new SalesPrices($this->changes);
        foreach ($folder->rowsOf('item-prices') as $row) {
            $item = Item::query()->whereKey((int) $this->ids->of(['items', 'number'], $row['item']))->firstOrFail();
            $breaks = PriceBreaks::read((string) $row['prices']);
            $differs = $breaks !== null
                && $prices->write($item, new TypedSalesPrices((string) $row['level'], $breaks));
            $result->add('item-prices', $differs ? 'changed' : 'same');
        }
    }

    /** What may stand in for what, in the order of the file. */
    private function substitutes(Folder $folder, ImportResult $result): void
    {
        $substitutes = new Substitutes($this->changes);
        foreach ($folder->rowsOf('substitutes') as $row) {
            $item = Item::query()->whereKey((int) $this->ids->of(['items', 'number'], $row['item']))->firstOrFail();
            $differs = $substitutes->add($item, new TypedSubstitute(
                (int) $this->ids->of(['items', 'number'], $row['substitute']),
                (int) $row['p'],
                (int) $row['q'],
                $row['until'],
            ));
            $result->add('substitutes', $differs ? 'changed' : 'same');
        }
    }

    /** What customers call our items. */
    private function called(Folder $folder, ImportResult $result): void
    {
        $numbers = new CustomerNumbers($this->changes);
        foreach ($folder->rowsOf('customer-items') as $row) {
            $item = Item::query()->whereKey((int) $this->ids->of(['items', 'number'], $row['item']))->firstOrFail();
            $customer = (int) $this->ids->of(['customers', 'number'], $row['customer']);
            $isNew = $numbers->add($item, new TypedCustomerNumber($customer, (string) $row['number']));
            $result->add('customer-items', $isNew ? 'new' : 'same');
        }
    }

    /** @param  array<int, array<string, ?string>>  $rows */
    private function table(array $rows, FileSpec $spec, string $table, ImportResult $result): void
    {
        $there = [];
        foreach (DB::table($table)->get() as $row) {
            $old = (array) $row;
            $there[self::key($spec, $old)] = $old;
        }
        $new = [];
        foreach ($rows as $row) {
            $values = $this->values($spec, $row);
            $old = $there[self::key($spec, $values)] ?? null;
            if ($old === null) {
                $new[] = $values;
                $result->addNew($spec->name, implode(' ', array_intersect_key($row, array_flip($spec->key))));
            } elseif (RowDiff::differs($old, $values)) {
                // who has its form open is told that it changed
                $seen = isset($old['version']) ? ['version' => DB::raw('version + 1')] : [];
                DB::table($table)->where('id', $old['id'])->update([...$values, ...$seen]);
                $this->changed($spec, $table, $old, $values);
                $result->add($spec->name, 'changed');
            } else {
                $result->add($spec->name, 'same');
            }
        }
        foreach (array_chunk($new, 500) as $chunk) {
            DB::table($table)->insert($chunk);
            $result->add($spec->name, 'new', count($chunk));
        }
        if ($table === 'items' && $new !== []) {
            DB::statement(
                'INSERT INTO item_stock (item_id) '
                    .'SELECT i.id FROM items i LEFT JOIN item_stock s ON s.item_id = i.id WHERE s.item_id IS NULL',
            );
        }
    }

    /**
     * What a row is known by.
     *
     * @param  array<string, mixed>  $row  by column
     */
    private static function key(FileSpec $spec, array $row): string
    {
        $part = fn (string $name): string => (string) $row[(string) $spec->column($name)?->into];

        return Code::keyOf(implode("\0", array_map($part, $spec->key)));
    }

    /**
     * Keeps what of a row is another than before, in words.
     *
     * @param  array<string, mixed>  $old
     * @param  array<string, mixed>  $values
     */
    private function changed(FileSpec $spec, string $table, array $old, array $values): void
    {
        $word = fn (string $name): string => $this->ids->word(
            $spec->column($name),
            $old[(string) $spec->column($name)?->into],
        );
        $name = trim(implode(' ', array_map($word, $spec->key)));
        foreach ($spec->keptColumns() as $column) {
            if (! RowDiff::isSame($old[$column->into], $values[$column->into])) {
                $this->changes->field(
                    $table,
                    (int) $old['id'],
                    $name,
                    str_replace('_', ' ', $column->name),
                    $this->ids->word($column, $old[$column->into]),
                    $this->ids->word($column, $values[$column->into]),
                );
            }
        }
        if (
            $table === 'items'
            && $values['costing'] === CostingRule::Standard->value
            && ! RowDiff::isSame($old['cost'], $values['cost'])
        ) {
            $this->costs[(int) $old['id']] = (string) $values['cost'];
        }
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function values(FileSpec $spec, array $row): array
    {
        $values = [];
        foreach ($spec->keptColumns() as $column) {
            $values[$column->into] =
                $column->refers === null
                    ? $column->kept($row[$column->name])
                    : $this->ids->of($column->refers, $row[$column->name]);
        }

        return $values;
    }
}
