<?php

namespace App\Actions\Import;

use App\Models\Customer;
use App\Models\Item;
use App\Shop\PriceList;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Writes what customers had ordered when the shop went live, many lines at once. */
final class OpeningCustomerOrders
{
    private const AT_ONCE = 500;

    /** @var array<int, Customer> */
    private array $customers = [];

    /** @var array<int, PriceList> by item */
    private array $prices = [];

    public function __construct(private readonly ImportedIds $ids, private readonly OpeningItems $items)
    {
    }

    /** @param  callable(string, int): void  $progress */
    public function write(Folder $folder, ImportResult $result, callable $progress): void
    {
        $heads = $this->heads($folder->rowsOf('customer-orders'));
        $done = 0;
        foreach (array_chunk($folder->rowsOf('customer-orders'), self::AT_ONCE) as $rows) {
            $this->items->read($rows);
            $lines = array_map(
                fn (array $row): array => $this->line($row, $heads[Code::keyOf((string) $row['number'])]),
                $rows,
            );
            DB::table('customer_order_lines')->insert($lines);
            $result->add('customer-orders', 'new', count($rows));
            $progress('Writing customer-orders.csv', $done += count($rows));
        }
    }

    /**
     * @param  array<int, array<string, ?string>>  $rows
     * @return array<string, int> id by key of the number
     */
    private function heads(array $rows): array
    {
        $heads = [];
        foreach ($rows as $row) {
            $heads[Code::keyOf((string) $row['number'])] ??= [
                'number' => $row['number'],
                'customer_id' => $this->ids->of(['customers', 'number'], $row['customer']),
                'reference' => $row['reference'],
                'ship_to' => '',
                'ordered_on' => now(config()->string('pace.zone'))->toDateString(),
                'version' => 1,
                'created_at' => now(),
                'updated_at' => now(),
            ];
        }
        $ids = [];
        foreach (array_chunk($heads, self::AT_ONCE, true) as $some) {
            DB::table('customer_orders')->insert(array_values($some));
            $found = DB::table('customer_orders')->whereIn('number_key', array_map(strval(...), array_keys($some)));
            foreach ($found->pluck('id', 'number_key') as $key => $id) {
                $ids[(string) $key] = is_numeric($id) ? (int) $id : 0;
            }
        }

        return $ids;
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function line(array $row, int $order): array
    {
        $item = $this->items->of($row['item']);
        $amount = $item->quantity((string) $row['quantity'], $row['unit'] ?: null)->amount;

        return [
            'customer_order_id' => $order,
            'position' => (int) $row['line'],
            'item_id' => $item->id,
            'quantity' => (string) $amount,
            'typed_quantity' => $row['quantity'],
            'typed_unit_id' => $this->ids->of(['units', 'code'], $row['unit']) ?? $item->unit_id,
            'price' => $row['price'] === '' ? $this->price($row, $item, $amount) : $row['price'],
            'promised_on' => $row['promised_on'],
            'promised_first_on' => $row['promised_on'],
        ];
    }

    /**
     * Where the file has none: by the level of its customer.
     *
     * @param  array<string, ?string>  $row
     */
    private function price(array $row, Item $item, BigDecimal $quantity): string
    {
        $customer = (int) $this->ids->of(['customers', 'number'], $row['customer']);
        $this->customers[$customer] ??= Customer::query()->findOrFail($customer);
        $this->prices[$item->id] ??= PriceList::of([$item->id]);

        return $this->prices[$item->id]->price($item, $this->customers[$customer], $quantity);
    }
}
