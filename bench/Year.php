<?php

namespace Bench;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Stock\Tracking;

/**
 * A year of a shop, made in bulk: day by day the same rows the actions would write, so that pace:verify holds on it.
 * A tenth of what is bought has lots, a tenth of what is made serial numbers; a yard holds many lots of few items.
 * Needs the demo's product data (calendars, places, people) in the database.
 */
final class Year
{
    private const COMPONENTS = 15;

    private const SLIPS = 3; // each component is issued in three parts

    private const STEPS = 10;

    /** Of ten items one has lots or serial numbers. */
    private const TRACKED_EVERY = 10;

    private const YARD_ITEMS = 40;

    private readonly Bulk $bulk;

    private readonly YearStock $stock;

    /** @var list<\stdClass> */
    private array $centres = [];

    /** @var array<string, int> */
    private readonly array $places;

    /** @var list<int> */
    private array $bought = [];

    /** @var list<int> */
    private array $made = [];

    /** @var list<int> */
    private array $yard = [];

    private readonly YearBooks $books;

    private readonly YearPurchases $purchases;

    private readonly YearOutside $outside;

    private readonly int $unit;

    private int $seed = 7;

    private int $orderNumber;

    private int $customerNumber = 2000;

    /** @param  int  $yardLots  balances of the yard */
    public function __construct(
        private readonly int $orders,
        private readonly int $days = 250,
        private readonly int $boughtItems = 2000,
        private readonly int $madeItems = 300,
        private readonly int $yardLots = 100_000,
    ) {
        $this->bulk = new Bulk;
        $this->places = DB::table('places')->orderByDesc('id')->pluck('id', 'kind')
            ->map(fn ($id): int => (int) $id)->all();
        $this->stock = new YearStock($this->bulk, $this->places);
        $this->unit = (int) DB::table('units')->where('code', 'pc')->value('id');
        $this->books = new YearBooks($this->bulk, $this->unit, (int) DB::table('people')->value('id'));
        $this->purchases = new YearPurchases($this->bulk, $this->books, $this->places, $this->unit);
        $this->outside = new YearOutside($this->bulk, $this->books, $this->unit);
        $this->orderNumber = 1 + (int) DB::table('numberings')->where('code', 'order')->value('next') + 1000;
    }

    public function make(): void
    {
        DB::statement('SET foreign_key_checks = 0, unique_checks = 0');
        $this->productData();
        $inWork = [];
        for ($d = 0; $d < $this->days; $d++) {
            $this->books->day = now()->subDays(intdiv(($this->days - 1 - $d) * 7, 5))->toDateString();
            $this->stock->day = $this->books->day;
            $inWork = $this->workOn($inWork, $d);
            for ($i = 0; $i < intdiv($this->orders, $this->days); $i++) {
                $inWork[] = $this->start($d, firm: $d === $this->days - 1 && $i % 2 === 0);
            }
            $this->fillYard();
            $this->purchases->endOfDay();
        }
        array_map($this->books->writeOrder(...), $inWork);
        array_map($this->outside->end(...), $inWork);
        $this->purchases->end($this->bought);
        $this->stock->write();
        $this->bulk->flush();
        $this->numberings();
        DB::statement('SET foreign_key_checks = 1, unique_checks = 1');
        // as a database that has run for a year knows its tables
        DB::statement('ANALYZE TABLE '.implode(', ', array_column(Schema::getTables(DB::getDatabaseName()), 'name')));
    }

    private function productData(): void
    {
        $this->purchases->begin();
        $calendars = DB::table('calendars')->pluck('id');
        for ($i = 0; $i < 25; $i++) {
            DB::table('work_centres')->insert([
                'code' => "B{$i}",
                'name' => "Work centre {$i}",
                'calendar_id' => $calendars[$i % 2],
                'machines' => 2 + $i % 3,
                'labour_rate' => 30 + $i % 7,
                'machine_rate' => 5 + $i,
                'overhead_percent' => 40,
            ]);
        }
        $this->centres = array_values(
            DB::table('work_centres')->where('code', 'like', 'B%')->where('name', 'like', 'Work centre%')->get()->all(),
        );
        $this->bought = $this->items('BB', 'Part', 'bought', $this->boughtItems, Tracking::Lot);
        $this->made = $this->items('BM', 'Assembly', 'made', $this->madeItems, Tracking::Serial);
        $this->outside->begin($this->items('BS', 'Coating', 'outside', 1, Tracking::None, trackedEvery: 9)[0]);
        if ($this->yardLots > 0) {
            $this->yard = $this->items('BY', 'Plate', 'bought', self::YARD_ITEMS, Tracking::Lot, trackedEvery: 1);
        }
        for ($i = 0; $i < 200; $i++) {
            DB::table('customers')->insert([
                'number' => "BK-{$i}",
                'name' => "Customer {$i}",
                'address' => '',
            ]);
        }
    }

    /** @return list<int> */
    private function items(
        string $prefix,
        string $name,
        string $kind,
        int $count,
        Tracking $tracked,
        int $trackedEvery = self::TRACKED_EVERY,
    ): array {
        $ids = [];
        for ($i = 0; $i < $count; $i++) {
            $tracking = $i % $trackedEvery === 0 ? $tracked : Tracking::None;
            $ids[] = $id = $this->bulk->id('items');
            $this->bulk->add('items', [
                'id' => $id,
                'number' => sprintf("{$prefix}-%05d", $i),
                'name' => "{$name} {$i}",
                'kind' => $kind,
                'unit_id' => $this->unit,
                'tracking' => $tracking->value,
                'cover_for' => 'line',
                'lead_time_days' => 5,
                'safety_stock' => 2 + $i % 50,
                'cost' => 100,
                'supplier_id' => $kind === 'bought' ? $this->purchases->supplierOf($id) : null,
            ]);
            $this->stock->item($id, $tracking);
        }

        return $ids;
    }

    /**
     * @param  array<int, YearOrder>  $inWork
     * @return array<int, YearOrder> what is still in work
     */
    private function workOn(array $inWork, int $day): array
    {
        foreach ($inWork as $key => $order) {
            $age = $day - $order->day;
            if ($age === 2) {
                $this->work($order, 0, 5);
            } elseif ($age === 4) {
                $this->work($order, 5, self::STEPS);
                $this->finish($order);
                $this->books->writeOrder($order);
                unset($inWork[$key]);
            }
        }

        return $inWork;
    }

    private function start(int $day, bool $firm): YearOrder
    {
        $number = $this->orderNumber++;
        $quantity = $this->dice(1, 12);
        $order = new YearOrder(
            $this->bulk->id('orders'),
            $this->bulk->id('order_outputs'),
            $number,
            $day,
            $this->made[$this->dice(0, $this->madeItems - 1)],
            $quantity,
            self::daysOn($this->books->day, $this->dice(5, 20)),
        );
        for ($i = 0; $i < self::COMPONENTS; $i++) {
            $order->components[] = [
                'id' => $this->bulk->id('order_components'),
                'item' => $this->bought[$this->dice(0, $this->boughtItems - 1)],
                'planned' => $quantity * $this->dice(1, 4) * self::SLIPS,
                'used' => 0,
                'value' => 0,
            ];
        }
        for ($i = 0; $i < self::STEPS; $i++) {
            $setup = $this->dice(5, 20);
            $run = $this->dice(1, 4);
            $isOutside = $i === YearOutside::STEP && $number % YearOutside::EVERY === 0;
            $order->steps[] = new YearStep(
                $this->bulk->id('order_steps'),
                $this->centres[$this->dice(0, count($this->centres) - 1)],
                $setup,
                $run,
                $setup + $run * $quantity,
                $isOutside ? $this->purchases->supplierOf($number) : null,
                $isOutside ? $this->outside->service : null,
            );
        }
        $number % 2 === 0 ? $this->demand($order) : $order->madeBy = $this->books->booking(
            'order_made',
            "Order {$number} made for the shelf.",
            $order->id,
        );
        if (! $firm) {
            $this->release($order);
        }

        return $order;
    }

    private function demand(YearOrder $order): void
    {
        $demand = $order->demand = new YearDemand(
            $this->bulk->id('customer_orders'),
            'C-'.$this->customerNumber++,
            $this->bulk->id('customer_order_lines'),
            $this->bulk->id('ties'),
            $this->books->day,
        );
        $this->books->booking(
            'customer_order',
            "Customer order {$demand->number} entered with 1 line.",
            customerOrder: $demand->id,
        );
        $order->madeBy = $this->books->booking(
            'cover',
            "{$demand->number} covered: line 10: {$order->quantity} from new order {$order->number}.",
            customerOrder: $demand->id,
        );
        $this->books->coverEntry($order->madeBy, $demand->cover, $order->quantity);
    }

    private function release(YearOrder $order): void
    {
        $order->releasedAt = "{$this->books->day} 07:30:00";
        $booking = $this->books->booking('release', "Released {$order->number}.", $order->id);
        $order->steps[0]->takenIn = $order->quantity;
        $this->books->stepEntry($booking, $order->steps[0]->id, in: $order->quantity);
        foreach ($order->components as $component) {
            $order->plannedMaterial += $component['planned'] * 1000;
        }
        for ($slip = 0; $slip < self::SLIPS; $slip++) {
            $this->issue($order);
        }
        $order->state = OrderState::Running;
    }

    private function issue(YearOrder $order): void
    {
        $wanted = [];
        foreach ($order->components as $component) {
            $wanted[$component['item']] ??= 0;
            $wanted[$component['item']] += intdiv($component['planned'], self::SLIPS);
        }
        foreach ($wanted as $item => $quantity) {
            if ($this->stock->has($item) < $quantity) {
                $this->goodsIn($item, $quantity + 160);
            }
        }
        $says = count($order->components)." components issued to {$order->number}.";
        $booking = $this->books->booking('issue', $says, $order->id);
        $material = 0;
        foreach ($order->components as $i => $component) {
            $take = intdiv($component['planned'], self::SLIPS);
            $value = $this->stock->out($booking, $component['item'], $take, 'order', [
                'order_id' => $order->id,
                'component_id' => $component['id'],
            ]);
            $order->components[$i]['used'] += $take;
            $order->components[$i]['value'] += $value;
            $material += $value;
        }
        $this->books->cost($order, $booking, 'material', $material);
    }

    private function goodsIn(int $item, int $quantity): void
    {
        $value = $quantity * $this->dice(800, 1200);
        $line = $this->purchases->comes($item, $quantity, $value);
        $order = $this->purchases->orderOf($item);
        $booking = $this->books->booking('goods_in', "{$quantity} pc in, to Main stores.", purchase: $order);
        $this->stock->in($booking, $item, $quantity, $value, 'outside', ['purchase_line_id' => $line]);
    }

    /** Some plates each day, a lot of each delivery. */
    private function fillYard(): void
    {
        if ($this->yard !== []) {
            for ($i = 0; $i < intdiv($this->yardLots, $this->days); $i++) {
                $this->goodsIn($this->yard[$i % self::YARD_ITEMS], $this->dice(1, 9));
            }
        }
    }

    private function work(YearOrder $order, int $from, int $to): void
    {
        if ($order->releasedAt === null) {
            $this->release($order);
        }
        for ($i = $from; $i < $to; $i++) {
            $this->workStep($order, $i);
        }
    }

    private function workStep(YearOrder $order, int $i): void
    {
        $step = $order->steps[$i];
        if ($step->supplier !== null) {
            $this->outside->back($order, $step);
            $this->reach($order, $i + 1);

            return;
        }
        $isLast = $i === self::STEPS - 1;
        $minutes = intdiv($step->minutes * $this->dice(85, 120), 100);
        $says = "{$order->number} step ".($i + 1)."0 Work: {$order->quantity} good.";
        $booking = $this->books->booking('report', $says, $order->id);
        $step->good = $order->quantity;
        $step->passedOn = $isLast ? 0 : $order->quantity;
        $step->booked = $minutes;
        $this->books->stepEntry($booking, $step->id, good: $step->good, passed: $step->passedOn, minutes: $minutes);
        if (! $isLast) {
            $this->reach($order, $i + 1, $booking);
        }
        $labour = intdiv((int) $step->centre->labour_rate * 100 * $minutes + 30, 60);
        $machine = intdiv((int) $step->centre->machine_rate * 100 * $minutes + 30, 60);
        $this->books->cost($order, $booking, 'labour', $labour, $step->id);
        $this->books->cost($order, $booking, 'machine', $machine, $step->id);
        $this->books->cost($order, $booking, 'overhead', intdiv($labour * 40 + 50, 100), $step->id);
    }

    /** Pieces come to a step; those of one outside go out. */
    private function reach(YearOrder $order, int $i, ?int $booking = null): void
    {
        $next = $order->steps[$i];
        $next->takenIn = $order->quantity;
        $booking ??= $this->books->booking('report', "{$order->number} passed on.", $order->id);
        $this->books->stepEntry($booking, $next->id, in: $order->quantity);
        $next->supplier === null ?: $this->outside->send($order, $next);
    }

    private function finish(YearOrder $order): void
    {
        $says = "{$order->quantity} pc received from order {$order->number}, to Main stores.";
        $booking = $this->books->booking('receive', $says, $order->id);
        $last = self::STEPS - 1;
        $order->steps[$last]->passedOn = $order->quantity;
        $this->books->stepEntry($booking, $order->steps[$last]->id, passed: $order->quantity);
        $order->received = $order->quantity;
        $order->receivedValue = $order->plannedMaterial;
        $this->stock->in($booking, $order->item, $order->quantity, $order->receivedValue, 'order', [
            'order_id' => $order->id,
            'output_id' => $order->output,
        ]);
        $this->books->cost($order, $booking, 'receipt', -$order->receivedValue);
        if ($order->demand !== null) {
            $this->ship($order, $order->demand, $booking);
        }
        $close = $this->books->booking('close', "Order {$order->number} closed.", $order->id);
        $this->books->cost($order, $close, 'variance', -$order->cost);
        $order->state = OrderState::Closed;
        $order->closedAt = "{$this->books->day} 15:00:00";
    }

    private function ship(YearOrder $order, YearDemand $demand, int $received): void
    {
        $demand->fromStock = $this->bulk->id('ties');
        $this->books->coverEntry($received, $demand->cover, -$order->quantity);
        $this->books->coverEntry($received, $demand->fromStock, $order->quantity);
        $booking = $this->books->booking('ship', "Shipped: {$order->quantity} pc.", customerOrder: $demand->id);
        $this->stock->out($booking, $order->item, $order->quantity, 'customer', ['line_id' => $demand->line]);
        $this->books->coverEntry($booking, $demand->fromStock, -$order->quantity);
        $demand->shipped = $order->quantity;
    }

    private function numberings(): void
    {
        $last = [
            'order' => ['', $this->orderNumber],
            'customer_order' => ['C-', $this->customerNumber],
            'purchase' => ['P-', $this->purchases->numbers()],
            'consignment' => ['OUT-', $this->outside->numbers()],
        ];
        foreach ($last as $code => [$prefix, $last]) {
            DB::table('numberings')->updateOrInsert(['code' => $code], ['prefix' => $prefix, 'next' => $last + 1]);
        }
    }

    public static function daysOn(string $from, int $days): string
    {
        return date('Y-m-d', (int) strtotime("{$from} +{$days} days"));
    }

    /** The same year each time. */
    private function dice(int $from, int $to): int
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return $from + intdiv($this->seed, 65536) % ($to - $from + 1);
    }
}
