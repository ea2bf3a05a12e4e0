<?php

namespace App\Actions\Import;

use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\PlannedCost;
use App\Actions\Stock\Lots;
use App\Books\Ledger;
use App\Books\Numbers;
use App\Models\Item;
use App\Models\Person;
use Brick\Math\BigDecimal;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Writes what was going on when the shop went live: stock, customer orders, purchases, half-done orders. */
final class OpeningWriter
{
    public function __construct(
        private readonly OrderCopy $copy,
        private readonly PlannedCost $cost,
        private readonly ImportedIds $ids,
    ) {
    }

    /**
     * Locks the stock of all items this import moves or revalues.
     *
     * @param  list<int>  $revalued
     */
    public function lock(Folder $folder, Ledger $ledger, array $revalued): void
    {
        $this->ids->forget();
        $numbers = array_unique(self::column($folder, 'opening-stock', 'item'));
        $ledger->stock->lock([
            ...$revalued,
            ...array_values(array_map(
                fn (string $number): int => (int) $this->ids->of(['items', 'number'], $number),
                $numbers,
            )),
        ]);
    }

    /** @param  callable(string, int): void  $progress */
    public function write(Folder $folder, Ledger $ledger, ImportResult $result, Person $by, callable $progress): void
    {
        $this->ids->forget();
        $items = new OpeningItems;
        $this->stock($items, $folder, $ledger, $result, $progress);
        (new OpeningCustomerOrders($this->ids, $items))->write($folder, $result, $progress);
        (new OpeningOrders($this->copy, $this->cost, $items, $folder, $ledger))->write($result, $by);
        (new OpeningPurchases($this->ids, $items, $folder))->write($ledger, $result);
        (new OpeningWork($folder))->write($ledger, $result);
        // last of all: whoever draws a number waits for this row
        foreach ([
            'purchase' => 'purchases',
            'customer_order' => 'customer-orders',
            'order' => 'orders',
        ] as $code => $file) {
            Numbers::passBy($code, self::column($folder, $file, 'number'));
        }
        Numbers::passBy('purchase', self::column($folder, 'work-orders', 'number'));
    }

    /** @return list<string>  empty where the cell is */
    private static function column(Folder $folder, string $file, string $name): array
    {
        return array_map(strval(...), array_column($folder->rows[$file] ?? [], $name));
    }

    /** @param  callable(string, int): void  $progress */
    private function stock(
        OpeningItems $items,
        Folder $folder,
        Ledger $ledger,
        ImportResult $result,
        callable $progress,
    ): void {
        $rows = [];
        foreach (array_chunk($folder->rowsOf('opening-stock'), 500) as $chunk) {
            $items->read($chunk);
            foreach ($chunk as $row) {
                $rows[] = $this->lying($items->of($row['item']), $row);
            }
            $progress('Reading opening-stock.csv', count($rows));
        }
        $ledger->stock->read(array_column($rows, 1));
        foreach ($rows as $i => [$item, $key, $quantity, $value]) {
            $ledger->moves->move($item, $quantity, $value, End::outside(), End::stock($key));
            $result->add('opening-stock', 'new');
            if ($i % 500 === 499) {
                $progress('Writing opening-stock.csv', $i + 1);
            }
        }
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array{Item, StockKey, BigDecimal, int} the item with what a move asks of it, and the value in cents
     */
    private function lying(Item $item, array $row): array
    {
        $lot = $row['lot'] === '' ? 0 : Lots::of(
            $item->id,
            Code::of((string) $row['lot']),
            ['expires_on' => $row['expires_on'] ?: null, 'supplier_lot' => $row['supplier_lot']],
        )->id;

        return [
            (new Item)->forceFill(['id' => $item->id, 'number' => $item->number, 'name' => $item->name]),
            new StockKey($item->id, (int) $this->ids->of(['places', 'code'], $row['place']), $lot),
            $item->quantity((string) $row['quantity'], $row['unit'] ?: null)->amount,
            BigDecimal::of((string) $row['value'])->multipliedBy(100)->toInt(),
        ];
    }
}
