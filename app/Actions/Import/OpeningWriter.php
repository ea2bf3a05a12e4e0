<?php

namespace App\Actions\Import;

use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\PlannedCost;
use App\Actions\Stock\Lots;
use App\Books\Ledger;
use App\Books\Numbers;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Order;
use App\Models\Person;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Shop\PriceList;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\Pieces;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Writes what was going on when the shop went live: stock, customer orders, purchases, half-done orders. */
final class OpeningWriter
{
    /** @var array<string, Item> by number in lower case */
    private array $items = [];

    /** @var array<int, Customer> */
    private array $customers = [];

    /** @var array<int, PriceList> by item */
    private array $prices = [];

    /** @var array<string, list<array<string, ?string>>> lines of order-steps.csv by order */
    private array $steps = [];

    public function __construct(private readonly OrderCopy $copy, private readonly PlannedCost $cost,
        private readonly ImportedIds $ids)
    {
    }

    /**
     * Locks the stock of all items this import moves or revalues.
     *
     * @param  list<int>  $revalued
     */
    public function lock(Folder $folder, Ledger $ledger, array $revalued): void
    {
        $this->ids->forget();
        $numbers = array_unique(array_column($folder->rows['opening-stock'] ?? [], 'item'));
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
        $this->items = [];
        $this->steps = [];
        foreach ($folder->rows['order-steps'] ?? [] as $row) {
            $this->steps[Code::keyOf((string) $row['order'])][] = $row;
        }
        $this->stock($folder, $ledger, $result, $progress);
        foreach ($folder->rows['purchases'] ?? [] as $row) {
            $supplier = (int) $this->ids->of(['suppliers', 'number'], $row['supplier']);
            $head = PurchaseOrder::query()->firstWhere('number_key', Code::keyOf((string) $row['number']))
                ?? PurchaseOrder::query()->create([
                    'number' => $row['number'],
                    'supplier_id' => $supplier,
                    'ordered_on' => $today = now(config()->string('pace.zone'))->toDateString(),
                    'sent_on' => $today,
                ]);
            PurchaseLine::query()->create([
                'number' => $row['number'],
                'purchase_order_id' => $head->id,
                'position' => 1 + (int) $head->lines()->max('position'),
                'item_id' => $this->item($row['item'])->id,
                'quantity' => $row['quantity'],
                'price' => $row['price'],
                'expected_on' => $row['expected_on'],
            ]);
            $ledger->touch($head);
            $result->add('purchases', 'new');
        }
        $this->customerOrders($folder, $result, $progress);
        $this->orders($folder, $ledger, $result, $by);
        // last of all: whoever draws a number waits for this row
        foreach ([
            'purchase' => 'purchases',
            'customer_order' => 'customer-orders',
            'order' => 'orders',
        ] as $code => $file) {
            Numbers::passBy($code, array_column($folder->rows[$file] ?? [], 'number'));
        }
    }

    /** @param  callable(string, int): void  $progress */
    private function stock(Folder $folder, Ledger $ledger, ImportResult $result, callable $progress): void
    {
        $rows = [];
        foreach (array_chunk($folder->rows['opening-stock'] ?? [], 500) as $chunk) {
            $this->items($chunk, 'item');
            foreach ($chunk as $row) {
                $item = $this->item($row['item']);
                $lot = $row['lot'] === '' ? 0 : Lots::of($item->id, Code::of((string) $row['lot']),
                    ['expires_on' => $row['expires_on'] ?: null, 'supplier_lot' => $row['supplier_lot']])->id;
                $rows[] = [(new Item)->forceFill(['id' => $item->id, 'number' => $item->number, 'name' => $item->name]),
                    new StockKey($item->id, (int) $this->ids->of(['places', 'code'], $row['place']), $lot),
                    $item->quantity((string) $row['quantity'], $row['unit'] ?: null)->amount,
                    BigDecimal::of((string) $row['value'])->multipliedBy(100)->toInt()];
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

    /** @param  callable(string, int): void  $progress */
    private function customerOrders(Folder $folder, ImportResult $result, callable $progress): void
    {
        $rows = $folder->rows['customer-orders'] ?? [];
        $now = now();
        $heads = [];
        foreach ($rows as $row) {
            $heads[Code::keyOf((string) $row['number'])] ??= [
                'number' => $row['number'],
                'customer_id' => $this->ids->of(['customers', 'number'], $row['customer']),
                'reference' => $row['reference'],
                'ship_to' => '',
                'ordered_on' => now(config()->string('pace.zone'))->toDateString(),
                'version' => 1,
                'created_at' => $now,
                'updated_at' => $now,
            ];
        }
        $ids = [];
        foreach (array_chunk($heads, 500) as $chunk) {
            DB::table('customer_orders')->insert($chunk);
            foreach (DB::table('customer_orders')->whereIn(
                'number_key',
                array_map(Code::keyOf(...), array_column($chunk, 'number')),
            )
                ->pluck('id', 'number') as $number => $id) {
                $ids[Code::keyOf((string) $number)] = $id;
            }
        }
        $done = 0;
        foreach (array_chunk($rows, 500) as $chunk) {
            $this->items($chunk, 'item');
            DB::table('customer_order_lines')->insert(
                array_map(function (array $row) use ($ids): array {
                    $item = $this->item($row['item']);
                    $amount = $item->quantity((string) $row['quantity'], $row['unit'] ?: null)->amount;

                    return [
                        'customer_order_id' => $ids[Code::keyOf((string) $row['number'])],
                        'position' => (int) $row['line'],
                        'item_id' => $item->id,
                        'quantity' => (string) $amount,
                        'typed_quantity' => $row['quantity'],
                        'typed_unit_id' => $this->ids->of(['units', 'code'], $row['unit']) ?? $item->unit_id,
                        'price' => $row['price'] === '' ? $this->priceFor($row, $item, $amount) : $row['price'],
                        'promised_on' => $row['promised_on'],
                        'promised_first_on' => $row['promised_on'],
                    ];
                }, $chunk),
            );
            $result->add('customer-orders', 'new', count($chunk));
            $progress('Writing customer-orders.csv', $done += count($chunk));
        }
    }

    private function orders(Folder $folder, Ledger $ledger, ImportResult $result, Person $by): void
    {
        foreach ($folder->rows['orders'] ?? [] as $line => $row) {
            $item = $this->item($row['item']);
            try {
                $order = $this->copy->make(
                    $ledger,
                    $item,
                    $item->quantity((string) $row['quantity'])->amount,
                    $row['due_on'] ?: null,
                    number: $row['number'],
                );
            } catch (Refused $refused) {
                $folder->problem('orders', $line, 'quantity', $refused->getMessage());

                continue;
            }
            if ($row['customer_order'] !== '') {
                $tied = CustomerOrderLine::query()->where('position', (int) $row['line'])
                    ->whereRelation('customerOrder', 'number_key', Code::keyOf((string) $row['customer_order']))
                    ->firstOrFail();
                $ledger->covers->add($tied, $order, BigDecimal::min($tied->openQuantity()
                    ->minus($tied->covered()), $order->quantity));
            }
            if ($row['state'] === OrderState::Released->value) {
                $this->halfDone($folder, $ledger, $order, $row, $line, $by);
            }
            $result->add('orders', 'new');
        }
    }

    /** @param  array<string, ?string>  $row */
    private function halfDone(Folder $folder, Ledger $ledger, Order $order, array $row, int $line, Person $by): void
    {
        $order->released_at = now()->toImmutable();
        $order->released_by = $by->id;
        $this->cost->freeze($order);
        $counts = array_column($this->steps[Code::keyOf((string) $row['number'])] ?? [], null, 'step');
        $passed = BigDecimal::of($order->quantity);
        foreach ($order->steps()->get() as $i => $step) {
            $count = $counts[(string) $step->number]
                ?? ['taken_in' => $i === 0 ? $order->quantity : '0', 'good' => '0', 'scrap' => '0', 'passed_on' => '0'];
            $pieces = new Pieces(...array_map(BigDecimal::of(...),
                [$count['taken_in'], $count['good'], $count['scrap'], $count['passed_on']]));
            if (! $pieces->takenIn->isEqualTo($passed)) {
                $folder->problem(
                    'order-steps',
                    $line,
                    'taken_in',
                    "order {$row['number']} step {$step->number} took in {$pieces->takenIn}, but {$passed} reached it.",
                );
            }
            $passed = $pieces->passedOn;
            $ledger->counts->set($step, $pieces);
        }
        if (! $passed->isZero()) {
            $folder->problem(
                'order-steps',
                $line,
                'passed_on',
                "order {$row['number']}: what its last step passed on is stock; put it in opening-stock.csv and "
                    .'lower the order.',
            );
        }
        $this->used($folder, $ledger, $order, $row, $line);
        foreach ([CostKind::Labour, CostKind::Machine, CostKind::Overhead, CostKind::Outside] as $kind) {
            $ledger->costs->add($order, $kind, BigDecimal::of((string) $row[$kind->value])->multipliedBy(100)->toInt());
        }
        $order->save();
        $ledger->touch($order);
    }

    /** @param  array<string, ?string>  $row components used so far; the material cost so far is shared over them */
    private function used(Folder $folder, Ledger $ledger, Order $order, array $row, int $line): void
    {
        $rows = array_filter($folder->rows['order-components'] ?? [],
            fn (array $used): bool => Code::keyOf((string) $used['order']) === Code::keyOf((string) $row['number'])
            && $used['used'] !== '0');
        $material = BigDecimal::of((string) $row['material'])->multipliedBy(100)->toInt();
        $weights = [];
        foreach ($rows as $at => $used) {
            $component = $order
                ->components()
                ->with('item.unit')
                ->where('item_id', $this->item($used['component'])->id)
                ->first();
            if ($component === null) {
                $folder->problem(
                    'order-components',
                    $at,
                    'component',
                    "order {$row['number']} does not take {$used['component']}.",
                );

                continue;
            }
            $weights[$at] = max(1, PlannedCost::of($component->item, BigDecimal::of((string) $used['used'])));
        }
        if ($weights === []) {
            if ($material !== 0) {
                $folder->problem('orders', $line, 'material',
                    "order {$row['number']} carries material cost but order-components.csv names nothing used.");
            }

            return;
        }
        foreach (\KeepPace\Core\Quantity\Cents::split($material, $weights) as $at => $value) {
            $component = $order
                ->components()
                ->with('item')
                ->where('item_id', $this->item($rows[$at]['component'])->id)
                ->firstOrFail();
            $quantity = $component->item->quantity((string) $rows[$at]['used'])->amount;
            $ledger->moves->move(
                $component->item,
                $quantity,
                $value,
                End::outside(),
                End::component($order->id, $component->id),
            );
            $ledger->costs->add($order, CostKind::Material, $value);
            $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus($quantity);
            $component->used_value += $value;
            $component->save();
        }
    }

    /**
     * Loads the items of some lines at once, and forgets those of the lines before: an opening may have more than
     * memory holds.
     *
     * @param  array<array-key, array<string, ?string>>  $rows
     */
    private function items(array $rows, string $column): void
    {
        $this->items = [];
        foreach (Item::query()->with('unit', 'units.unit')
            ->whereIn('number_key', array_unique(array_map(Code::keyOf(...), array_column($rows, $column))))
            ->get() as $item) {
            $this->items[Code::keyOf($item->number)] = $item;
        }
    }

    /**
     * Where the file has no price: by the level of its customer.
     *
     * @param  array<string, ?string>  $row
     */
    private function priceFor(array $row, Item $item, BigDecimal $quantity): string
    {
        $customer = (int) $this->ids->of(['customers', 'number'], $row['customer']);
        $this->customers[$customer] ??= Customer::query()->findOrFail($customer);
        $this->prices[$item->id] ??= PriceList::of([$item->id]);

        return $this->prices[$item->id]->price($item, $this->customers[$customer], $quantity);
    }

    private function item(?string $number): Item
    {
        return $this->items[Code::keyOf((string) $number)] ??= Item::query()
            ->with('unit', 'units.unit')
            ->where('number_key', Code::keyOf((string) $number))
            ->firstOrFail();
    }
}
