<?php

namespace Bench;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A year of a shop, made in bulk: day by day the same rows the actions would write, so that pace:verify holds on it.
 * Needs the demo's product data (calendars, places, people) in the database.
 */
final class Year
{
    private const COMPONENTS = 15;

    private const SLIPS = 3; // each component is issued in three parts

    private const STEPS = 10;

    /** @var array<string, int> next id by table */
    private array $next = [];

    /** @var array<string, list<string>> rows waiting to be written */
    private array $rows = [];

    /** @var array<string, int> how many columns the rows have */
    private array $width = [];

    /** @var array<int, array{int, int}> quantity and value on hand by item */
    private array $stock = [];

    /** @var array<int, \stdClass> */
    private array $centres = [];

    /** @var array<string, int> */
    private array $places;

    private int $unit;

    private int $person;

    private string $day;

    private int $seed = 7;

    private int $orderNumber;

    private int $customerNumber;

    public function __construct(private readonly int $orders, private readonly int $days = 250, private readonly int $boughtItems = 2000,
        private readonly int $madeItems = 300)
    {
    }

    public function make(): void
    {
        DB::statement('SET foreign_key_checks = 0, unique_checks = 0');
        $this->places = DB::table('places')->orderByDesc('id')->pluck('id', 'kind')->map(fn ($id): int => (int) $id)->all();
        $this->unit = (int) DB::table('units')->where('code', 'pc')->value('id');
        $this->person = (int) DB::table('users')->value('id');
        $this->orderNumber = 1 + (int) DB::table('numberings')->where('code', 'order')->value('next') + 1000;
        $this->customerNumber = 2000;
        $this->productData();
        $inWork = [];
        $perDay = intdiv($this->orders, $this->days);
        for ($d = 0; $d < $this->days; $d++) {
            $this->day = now()->subDays(intdiv(($this->days - 1 - $d) * 7, 5))->toDateString();
            foreach ($inWork as $key => $order) {
                $age = $d - $order['day'];
                if ($age === 2) {
                    $this->work($inWork[$key], 0, 5);
                } elseif ($age === 4) {
                    $this->work($inWork[$key], 5, self::STEPS);
                    $this->finish($inWork[$key]);
                    $this->orderRows($inWork[$key]);
                    unset($inWork[$key]);
                }
            }
            for ($i = 0; $i < $perDay; $i++) {
                $inWork[] = $this->start($d, firm: $d === $this->days - 1 && $i % 2 === 0);
            }
        }
        array_map($this->orderRows(...), $inWork);
        foreach ($this->stock as $item => [$quantity, $value]) {
            $this->row('balances', [$this->id('balances'), $item, $this->places['store'], 0, 'free', 0, $quantity]);
            $this->row('stock_values', [$this->id('stock_values'), $item, 0, $quantity, $value]);
        }
        array_map($this->flush(...), array_keys($this->rows));
        foreach (['order' => $this->orderNumber, 'customer_order' => $this->customerNumber] as $code => $next) {
            DB::table('numberings')->updateOrInsert(['code' => $code], ['prefix' => $code === 'order' ? '' : 'C-', 'next' => $next + 1]);
        }
        DB::statement('SET foreign_key_checks = 1, unique_checks = 1');
        DB::statement('ANALYZE TABLE moves, bookings, orders, order_steps, order_components, step_entries, cost_entries, covers, cover_entries, customer_order_lines, balances');
    }

    private function productData(): void
    {
        $calendars = DB::table('calendars')->pluck('id');
        for ($i = 0; $i < 25; $i++) {
            DB::table('work_centres')->insert(['code' => "B{$i}", 'name' => "Work centre {$i}", 'calendar_id' => $calendars[$i % 2],
                'machines' => 2 + $i % 3, 'labour_rate' => 30 + $i % 7, 'machine_rate' => 5 + $i, 'overhead_percent' => 40]);
        }
        $this->centres = DB::table('work_centres')->where('code', 'like', 'B%')->where('name', 'like', 'Work centre%')->get()->all();
        $this->next['items'] = 1 + (int) DB::table('items')->max('id');
        for ($i = 0; $i < $this->boughtItems + $this->madeItems; $i++) {
            $made = $i >= $this->boughtItems;
            $id = $this->id('items');
            $this->row('items', [$id, sprintf($made ? 'BM-%05d' : 'BB-%05d', $i), ($made ? 'Assembly ' : 'Part ').$i, $made ? 'made'
                : 'bought', $this->unit, 'none', 'line', null, 5, 0, 0, 2 + $i % 50, 100]);
            $this->stock[$id] = [0, 0];
        }
        for ($i = 0; $i < 200; $i++) {
            DB::table('customers')->insert(['number' => "BK-{$i}", 'name' => "Customer {$i}", 'contact' => '', 'address' => '']);
        }
    }

    /** @return array<string, mixed> */
    private function start(int $day, bool $firm): array
    {
        $bought = array_slice(array_keys($this->stock), 0, $this->boughtItems);
        $quantity = $this->dice(1, 12);
        $order = ['id' => $this->id('orders'), 'number' => $this->orderNumber++, 'day' => $day,
            'item' => array_keys($this->stock)[$this->boughtItems + $this->dice(0, $this->madeItems - 1)], 'quantity' => $quantity,
            'due' => date('Y-m-d', (int) strtotime("{$this->day} +".$this->dice(5, 20).' days')), 'components' => [], 'steps' => [],
            'cost' => 0, 'material' => 0, 'planned' => 0, 'received' => 0, 'state' => 'firm', 'released' => null, 'closed' => null,
            'line' => null];
        for ($i = 0; $i < self::COMPONENTS; $i++) {
            $item = $bought[$this->dice(0, $this->boughtItems - 1)];
            $each = $this->dice(1, 4);
            $order['components'][] = ['id' => $this->id('order_components'), 'item' => $item, 'planned' => $quantity * $each * self::SLIPS,
                'used' => 0, 'value' => 0];
        }
        for ($i = 0; $i < self::STEPS; $i++) {
            $centre = $this->centres[$this->dice(0, count($this->centres) - 1)];
            $setup = $this->dice(5, 20);
            $run = $this->dice(1, 4);
            $order['steps'][] = ['id' => $this->id('order_steps'), 'centre' => $centre, 'setup' => $setup, 'run' => $run,
                'minutes' => $setup + $run * $quantity, 'in' => 0, 'good' => 0, 'passed' => 0, 'booked' => 0];
        }
        if ($order['number'] % 2 === 0) {
            $customerOrder = $this->id('customer_orders');
            $order['line'] = $this->id('customer_order_lines');
            $order['customerOrder'] = $customerOrder;
            $order['number_c'] = 'C-'.$this->customerNumber++;
            $order['covers'] = [$this->id('covers'), null];
            $order['shipped'] = 0;
            $booking = $this->booking('customer_order', null, $customerOrder, "Customer order {$order['number_c']} entered with 1 line.");
            $order['made_by'] = $booking = $this->booking('cover', null, $customerOrder,
                "{$order['number_c']} covered: line 10: {$quantity} from new order {$order['number']}.");
            $this->row('cover_entries', [$this->id('cover_entries'), $booking, $order['covers'][0], $quantity]);
            $order['ordered'] = $this->day;
        } else {
            $order['made_by'] = $this->booking('order_made', $order['id'], null, "Order {$order['number']} made for the shelf.");
        }
        if (! $firm) {
            $this->release($order);
            for ($slip = 0; $slip < self::SLIPS; $slip++) {
                $this->issue($order);
            }
        }

        return $order;
    }

    /** @param  array<string, mixed>  $order */
    private function release(array &$order): void
    {
        $order['released'] = "{$this->day} 07:30:00";
        $order['state'] = 'released';
        $booking = $this->booking('release', $order['id'], null, "Released {$order['number']}.");
        $order['steps'][0]['in'] = $order['quantity'];
        $this->row('step_entries', [$this->id('step_entries'), $booking, $order['steps'][0]['id'], $order['quantity'], 0, 0, 0, 0, 0]);
        foreach ($order['components'] as $component) {
            $order['planned'] += $component['planned'] * 1000;
        }
    }

    /** @param  array<string, mixed>  $order */
    private function issue(array &$order): void
    {
        $short = [];
        foreach ($order['components'] as $component) {
            $take = intdiv($component['planned'], self::SLIPS);
            if ($this->stock[$component['item']][0] < $take) {
                $short[$component['item']] = ($short[$component['item']] ?? 0) + $take;
            }
        }
        foreach ($short as $item => $quantity) {
            $this->goodsIn($item, $quantity + 160);
        }
        $booking = $this->booking('issue', $order['id'], null, count($order['components'])." components issued to {$order['number']}.");
        $material = 0;
        foreach ($order['components'] as &$component) {
            $take = intdiv($component['planned'], self::SLIPS);
            if ($this->stock[$component['item']][0] < $take) {
                $this->goodsIn($component['item'], $take + 160);
            }
            [$there, $value] = $this->stock[$component['item']];
            $out = $take === $there ? $value : intdiv(2 * $value * $take + $there, 2 * $there);
            $this->stock[$component['item']] = [$there - $take, $value - $out];
            $this->move($booking, $component['item'], 'store', 'order', $take, $out, order: $order['id'], component: $component['id']);
            $component['used'] += $take;
            $component['value'] += $out;
            $material += $out;
        }
        unset($component);
        $this->cost($order, $booking, 'material', $material);
        $order['state'] = 'running';
    }

    private function goodsIn(int $item, int $quantity): void
    {
        $value = $quantity * $this->dice(800, 1200);
        $booking = $this->booking('goods_in', null, null, "{$quantity} pc in, to Main stores.");
        $this->move($booking, $item, 'outside', 'store', $quantity, $value);
        $this->stock[$item] = [$this->stock[$item][0] + $quantity, $this->stock[$item][1] + $value];
    }

    /** @param  array<string, mixed>  $order */
    private function work(array &$order, int $from, int $to): void
    {
        if ($order['released'] === null) {
            $this->release($order);
            for ($slip = 0; $slip < self::SLIPS; $slip++) {
                $this->issue($order);
            }
        }
        for ($i = $from; $i < $to; $i++) {
            $step = &$order['steps'][$i];
            $last = $i === self::STEPS - 1;
            $minutes = intdiv($step['minutes'] * $this->dice(85, 120), 100);
            $booking = $this->booking('report', $order['id'], null,
                "{$order['number']} step ".($i + 1)."0 Work: {$order['quantity']} good.");
            $step['good'] = $order['quantity'];
            $step['passed'] = $last ? 0 : $order['quantity'];
            $step['booked'] = $minutes;
            $this->row('step_entries', [$this->id('step_entries'), $booking, $step['id'], 0, $step['good'], 0, $step['passed'], $minutes,
                $minutes]);
            if (! $last) {
                $order['steps'][$i + 1]['in'] = $order['quantity'];
                $this->row('step_entries', [$this->id('step_entries'), $booking, $order['steps'][$i + 1]['id'], $order['quantity'], 0, 0,
                    0, 0, 0]);
            }
            $labour = intdiv((int) $step['centre']->labour_rate * 100 * $minutes + 30, 60);
            $this->cost($order, $booking, 'labour', $labour, $step['id']);
            $this->cost($order, $booking, 'machine', intdiv((int) $step['centre']->machine_rate * 100 * $minutes + 30, 60), $step['id']);
            $this->cost($order, $booking, 'overhead', intdiv($labour * 40 + 50, 100), $step['id']);
            unset($step);
        }
        $order['state'] = 'running';
    }

    /** @param  array<string, mixed>  $order */
    private function finish(array &$order): void
    {
        $quantity = $order['quantity'];
        $booking = $this->booking('receive', $order['id'], null, "{$quantity} pc received from order {$order['number']}, to Main stores.");
        $order['steps'][self::STEPS - 1]['passed'] = $quantity;
        $this->row('step_entries', [$this->id('step_entries'), $booking, $order['steps'][self::STEPS - 1]['id'], 0, 0, 0, $quantity, 0, 0]);
        $value = $order['planned'];
        $order['received'] = $value;
        $this->move($booking, $order['item'], 'order', 'store', $quantity, $value, order: $order['id']);
        $this->stock[$order['item']] = [$this->stock[$order['item']][0] + $quantity, $this->stock[$order['item']][1] + $value];
        $this->cost($order, $booking, 'receipt', -$value);
        if ($order['line'] !== null) {
            $order['covers'][1] = $this->id('covers');
            $this->row('cover_entries', [$this->id('cover_entries'), $booking, $order['covers'][0], -$quantity]);
            $this->row('cover_entries', [$this->id('cover_entries'), $booking, $order['covers'][1], $quantity]);
            $ship = $this->booking('ship', null, $order['customerOrder'], "Shipped: {$quantity} pc.");
            [$there, $worth] = $this->stock[$order['item']];
            $out = $quantity === $there ? $worth : intdiv(2 * $worth * $quantity + $there, 2 * $there);
            $this->stock[$order['item']] = [$there - $quantity, $worth - $out];
            $this->move($ship, $order['item'], 'store', 'customer', $quantity, $out, line: $order['line']);
            $this->row('cover_entries', [$this->id('cover_entries'), $ship, $order['covers'][1], -$quantity]);
            $order['shipped'] = $quantity;
        }
        $close = $this->booking('close', $order['id'], null, "Order {$order['number']} closed.");
        $this->cost($order, $close, 'variance', -$order['cost']);
        $order['state'] = 'closed';
        $order['closed'] = "{$this->day} 15:00:00";
    }

    /** @param  array<string, mixed>  $order */
    private function orderRows(array $order): void
    {
        $received = $order['closed'] === null ? 0 : $order['quantity'];
        $this->row('orders', [$order['id'], $order['number'], $order['item'], $order['quantity'], $order['state'], 0, null, null,
            $order['due'], 500, null, $order['made_by'], null, $order['released'], $order['released'] === null ? null : $this->person, null,
            $order['planned'], 0, 0, 0, 0, $received, $order['received'], $order['closed'], 2, "{$this->day} 07:00:00",
            "{$this->day} 07:00:00"]);
        foreach ($order['components'] as $i => $component) {
            $this->row('order_components',
                [$component['id'], $order['id'], ($i + 1) * 10, $component['item'], 10, null, $component['planned'], $component['planned'],
                    $order['released'] === null ? 0 : $component['planned'] * 1000, $component['used'], $component['value']]);
        }
        foreach ($order['steps'] as $i => $step) {
            $this->row('order_steps', [$step['id'], $order['id'], ($i + 1) * 10, null, 'Work '.($i + 1), $step['centre']
                    ->id, null, $step['setup'], 'min_per_unit', $step['run'], 1, 1, 0, 0, 0, 0, '', $step['minutes'], $step['minutes'],
                $step['centre']->labour_rate, $step['centre']->machine_rate, $step['centre']
                    ->overhead_percent, $step['in'], $step['good'], 0, $step['passed'], $step['booked'], null, null, '', '', null]);
        }
        if ($order['line'] !== null) {
            $customer = 1 + $order['number'] % 200;
            $this->row('customer_orders', [$order['customerOrder'], $order['number_c'], $customer, "PO {$order['number']}", '',
                $order['ordered'], 2, "{$this->day} 07:00:00", "{$this->day} 07:00:00"]);
            $this->row('customer_order_lines',
                [$order['line'], $order['customerOrder'], 10, $order['item'], $order['quantity'], $order['quantity'], $this->unit, 100,
                    date('Y-m-d', (int) strtotime("{$order['due']} +1 day")), $order['shipped'], 0, $order['shipped'] === $order['quantity']
                    ? 0 : 1]);
            $this->row('covers', [$order['covers'][0], $order['line'], $order['item'], $order['id'], "order:{$order['id']}", $received > 0
                    ? 0 : $order['quantity']]);
            if ($order['covers'][1] !== null) {
                $this->row('covers', [$order['covers'][1], $order['line'], $order['item'], null, 'stock', 0]);
            }
        }
    }

    private function booking(string $kind, ?int $order, ?int $customerOrder, string $says): int
    {
        $id = $this->id('bookings');
        $this->row('bookings', [$id, "bench-{$id}", '', $kind, $order, $customerOrder, $says, '', "{$this->day} 09:00:00", $this->day,
            $this->person, null, null]);

        return $id;
    }

    private function move(int $booking, int $item, string $from, string $to, int $quantity, int $value, ?int $order = null,
        ?int $component = null, ?int $line = null): void
    {
        $this->row('moves', [$this->id('moves'), $booking, $item, 0, 0, $this->places[$from], 'free', $this->places[$to], 'free',
            $quantity, $value, null, null, $order, $component, $line, null]);
    }

    /** @param  array<string, mixed>  $order */
    private function cost(array &$order, int $booking, string $kind, int $cents, ?int $step = null): void
    {
        $order['cost'] += $cents;
        if ($cents !== 0) {
            $this->row('cost_entries', [$this->id('cost_entries'), $booking, $order['id'], $kind, $cents, $step]);
        }
    }

    private function id(string $table): int
    {
        $this->next[$table] ??= 1 + (int) DB::table($table)->max('id');

        return $this->next[$table]++;
    }

    /** @param  list<int|string|null>  $values  in the order of the table's columns */
    private function row(string $table, array $values): void
    {
        $this->width[$table] = count($values);
        $this->rows[$table][] = '('.implode(',',
            array_map(fn (int|string|null $value): string => $value === null ? 'NULL'
            : (is_int($value) ? (string) $value : "'".addslashes($value)."'"), $values)).')';
        if (count($this->rows[$table]) === 2000) {
            $this->flush($table);
        }
    }

    private function flush(string $table): void
    {
        if ($this->rows[$table] !== []) {
            // rows may name fewer columns than the table has: the rest have defaults
            $columns = array_slice(Schema::getColumnListing($table), 0, $this->width[$table]);
            DB::unprepared("INSERT INTO `{$table}` (`".implode('`,`', $columns).'`) VALUES '.implode(',', $this->rows[$table]));
            $this->rows[$table] = [];
        }
    }

    /** A small generator of its own, so that every year is the same. */
    private function dice(int $from, int $to): int
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return $from + intdiv($this->seed, 65536) % ($to - $from + 1);
    }
}
