<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Models\Customer;
use App\Models\Item;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Writes what customers call an item, by page or by file; what differs goes into the trail of the item. */
final readonly class CustomerNumbers
{
    public function __construct(private ProductChanges $changes)
    {
    }

    /**
     * All of an item: what is not among them goes.
     *
     * @param  list<TypedCustomerNumber>  $numbers
     * @return bool whether anything differs
     *
     * @throws Refused beside the row whose number is another item's
     */
    public function replace(Item $item, array $numbers): bool
    {
        $this->assertFree($item, $numbers);
        $was = $this->of($item->id);
        $is = [];
        foreach ($numbers as $one) {
            $is["{$one->customerId} {$one->number}"] = $one;
        }
        $names = Customer::query()->pluck('number', 'id')->all();
        foreach (array_diff_key($was, $is) as $one) {
            $this->trail($item, $names[$one->customerId] ?? '', $one->number, '');
            $this->at($item, $one)->delete();
        }
        foreach (array_diff_key($is, $was) as $one) {
            $this->trail($item, $names[$one->customerId] ?? '', '', $one->number);
            $this->write($item, $one);
        }

        return array_diff_key($was, $is) + array_diff_key($is, $was) !== [];
    }

    /** @return bool whether it is new */
    public function add(Item $item, TypedCustomerNumber $typed): bool
    {
        $isThere = isset($this->of($item->id)["{$typed->customerId} {$typed->number}"]);
        $isThere ?: $this->replace($item, [...array_values($this->of($item->id)), $typed]);

        return ! $isThere;
    }

    /** @return array<string, TypedCustomerNumber> by customer and number */
    private function of(int $item): array
    {
        $rows = DB::table('customer_items')->where('item_id', $item)->orderBy('id')->select(['customer_id', 'number']);
        $numbers = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $one = new TypedCustomerNumber($row->int('customer_id'), $row->text('number'));
            $numbers["{$one->customerId} {$one->number}"] = $one;
        }

        return $numbers;
    }

    /**
     * @param  list<TypedCustomerNumber>  $numbers
     *
     * @throws Refused
     */
    private function assertFree(Item $item, array $numbers): void
    {
        foreach ($numbers as $at => $one) {
            $other = DB::table('customer_items AS c')
                ->join('items AS i', 'i.id', 'c.item_id')
                ->where('c.customer_id', $one->customerId)
                ->where('c.number_key', Code::keyOf($one->number))
                ->where('c.item_id', '<>', $item->id)
                ->value('i.number');
            if (is_string($other)) {
                throw Refused::because("This customer calls {$other} so already.", "called.{$at}.number");
            }
        }
    }

    private function write(Item $item, TypedCustomerNumber $one): void
    {
        $this->at($item, $one)->delete(); // the same in other capitals
        DB::table('customer_items')->insert([
            'customer_id' => $one->customerId,
            'item_id' => $item->id,
            'number' => $one->number,
        ]);
    }

    private function at(Item $item, TypedCustomerNumber $one): Builder
    {
        return DB::table('customer_items')
            ->where('item_id', $item->id)
            ->where('customer_id', $one->customerId)
            ->where('number_key', Code::keyOf($one->number));
    }

    private function trail(Item $item, string $customer, string $before, string $after): void
    {
        $this->changes->field('items', $item->id, $item->number, "number at {$customer}", $before, $after);
    }
}
