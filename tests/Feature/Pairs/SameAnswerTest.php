<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\UseLine;
use App\Models\Order;
use App\Shop\ShopState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;

/* Two ways to the same end must end the same: whatever differs between them is a fault in one. */

/**
 * What the shop holds, without ids and times, so that two histories can be compared.
 *
 * @return array<string, mixed>
 */
function state(): array
{
    return [
        'stock' => DB::table('stock_values AS b')
            ->join('items AS i', 'i.id', 'b.item_id')
            ->where('b.quantity', '>', 0)
            ->groupBy('i.number')
            ->orderBy('i.number')
            ->selectRaw('i.number, SUM(b.quantity) AS quantity, SUM(b.value) AS value')
            ->get()
            ->map(fn ($row): array => (array) $row)
            ->all(),
        'orders' => DB::table('orders AS o')
            ->join('order_outputs AS u', 'u.order_id', 'o.id')
            ->orderBy('o.number')
            ->get(['o.number', 'o.state', 'o.quantity', 'u.received_quantity', 'u.received_value'])
            ->map(fn ($row): array => (array) $row)
            ->all(),
        'steps' => DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->orderBy('o.number')
            ->orderBy('s.number')
            ->get(['s.taken_in', 's.good', 's.scrap', 's.passed_on', 's.booked_minutes'])
            ->map(fn ($row): array => (array) $row)
            ->all(),
        'used' => DB::table('order_components AS c')->orderBy('c.id')->pluck('used_quantity')->all(),
        'cost' => DB::table('cost_entries')->groupBy('kind')->orderBy('kind')->selectRaw('kind, SUM(cents) AS cents')
            ->pluck('cents', 'kind')->filter(fn ($cents): bool => (int) $cents !== 0)->all(),
        'ties' => DB::table('ties')->where('quantity', '>', 0)->orderBy('demand_id')->orderBy('supply_kind')
            ->get(['demand_id', 'supply_kind', 'quantity'])->map(fn ($row): array => (array) $row)->all(),
    ];
}

/**
 * @param  callable(object): void  $one
 * @param  callable(object): void  $other
 */
function compare(object $test, callable $one, callable $other): void
{
    $states = [];
    foreach ([$one, $other] as $way) {
        DB::beginTransaction();
        $way($test);
        expect($test->shop->differences())->toBe([]);
        // ids go on over a rollback, so they are counted from the first
        $states[] = json_encode(state());
        DB::rollBack();
    }
    expect(preg_replace('/"(line_id|supply)":[^,}]+/', '', $states[0]))->toBe(
        preg_replace('/"(line_id|supply)":[^,}]+/', '', $states[1]),
    );
}

function made(object $test, string $quantity = '10'): Order
{
    $order = $test->shop->order('LID-9', $quantity);
    $test->shop->release($order);

    return $order->refresh();
}

it(
    'counts 10 as 3 + 7',
    fn () => compare(
        $this,
        function ($test) {
            $test->shop->report(made($test)->steps[0], '10', '10', over: ['minutes' => 60]);
        },
        function ($test) {
            $order = made($test);
            $test->shop->report($order->steps[0], '3', '3', over: ['minutes' => 30]);
            $test->shop->report($order->steps[0]->refresh(), '7', '7', over: ['minutes' => 30]);
        },
    ),
);

it(
    'passes on at once or later',
    fn () => compare(
        $this,
        function ($test) {
            $test->shop->report(made($test)->steps[0], '10', '10', over: ['minutes' => 60]);
        },
        function ($test) {
            $order = made($test);
            $test->shop->report($order->steps[0], '10', '0', over: ['minutes' => 60]);
            $test->shop->report($order->steps[0]->refresh(), '0', '10', over: ['minutes' => 0]);
        },
    ),
);

it(
    'receives 10 as 3 + 7, to the cent',
    fn () => compare(
        $this,
        function ($test) {
            $order = made($test);
            $test->shop->issueAll($order);
            $test->shop->workThrough($order);
            $test->shop->receive($order, '10');
        },
        function ($test) {
            $order = made($test);
            $test->shop->issueAll($order);
            $test->shop->workThrough($order);
            $test->shop->receive($order, '3');
            $test->shop->receive($order, '7');
        },
    ),
);

it(
    'issues one slip over two orders as two slips',
    fn () => compare(
        $this,
        function ($test) {
            [$one, $two] = [made($test, '2'), made($test, '3')];
            $lines = $one->components
                ->concat($two->components)
                ->map(fn ($component): UseLine => UseLine::planned($component, (string) $component->openQuantity()))
                ->values()
                ->all();
            app(IssueComponents::class)->handle(
                $lines,
                false,
                $test->shop->sign(Role::Storekeeper),
            );
        },
        function ($test) {
            [$one, $two] = [made($test, '2'), made($test, '3')];
            $test->shop->issueAll($one);
            $test->shop->issueAll($two);
        },
    ),
);

it(
    'ends the same whichever of two independent deeds is first',
    fn () => compare(
        $this,
        function ($test) {
            $test->shop->goodsIn('MOT-120', '3', '81.15');
            $test->shop->report(made($test)->steps[0], '10', '10');
            $test->shop->goodsIn('SS-15', '2', '46', 'H-50', 'sheet', 'RACK');
        },
        function ($test) {
            $test->shop->goodsIn('SS-15', '2', '46', 'H-50', 'sheet', 'RACK');
            $test->shop->report(made($test)->steps[0], '10', '10');
            $test->shop->goodsIn('MOT-120', '3', '81.15');
        },
    ),
);

it(
    'takes the same in by another unit',
    fn () => compare(
        $this,
        function ($test) {
            $test->shop->goodsIn('FOOT-1', '48', '0.95');
        },
        function ($test) {
            $test->shop->goodsIn('FOOT-1', '2', '0.95', unit: 'box');
        },
    ),
);

it(
    'ships 3 as 1 + 2',
    fn () => compare(
        $this,
        function ($test) {
            $order = $test->shop->customerOrder(['LID-9' => '3']);
            $test->shop->cover($order, CoverBy::Stock);
            $test->shop->ship($order, [$order->lines[0]->id => '3']);
        },
        function ($test) {
            $order = $test->shop->customerOrder(['LID-9' => '3']);
            $test->shop->cover($order, CoverBy::Stock);
            $test->shop->ship($order, [$order->lines[0]->id => '1']);
            $test->shop->ship($order, [$order->lines[0]->id => '2']);
        },
    ),
);

it(
    'is where it was after a deed and its reversal',
    fn () => compare(
        $this,
        function ($test) {
            made($test);
        },
        function ($test) {
            $order = made($test);
            foreach (['report', 'goods', 'issue'] as $deed) {
                $booking = match ($deed) {
                    'report' => $test->shop->report($order->steps[0], '4', '2', '1'),
                    'goods' => $test->shop->goodsIn('BRG-25', '4', '6.85'),
                    default => $test->shop->issueAll($order),
                };
                $test->shop->reverse($booking);
            }
            // only the state remembers nothing: an order that was worked on is released again
            expect($order->refresh()->state->value)->toBe('released');
        },
    ),
);

it(
    'imports two files in one folder or in two',
    fn () => compare(
        $this,
        ...array_map(
            fn (array $folders): callable => function ($test) use ($folders): void {
                foreach ($folders as $files) {
                    expect($test->shop->import($files))->toBe([]);
                }
            },
            [
                [
                    [
                        'items.csv' => "number,name,kind,unit\nPAIR-1,Pair,bought,pc\n",
                        'opening-stock.csv' => "item,quantity,value\nPAIR-1,5,12.35\n",
                    ],
                ],
                [
                    ['items.csv' => "number,name,kind,unit\nPAIR-1,Pair,bought,pc\n"],
                    ['opening-stock.csv' => "item,quantity,value\nPAIR-1,5,12.35\n"],
                ],
            ],
        ),
    ),
);

it('plans the same a week later, a week later', function () {
    made($this);
    $this->shop->release($this->shop->order('TRAY-40', '12', '2026-12-03'));
    $this->shop->order('EX-9H', '4', '2026-12-08');
    DB::table('calendar_days')->delete(); // holidays do not move with the week
    $plan = function (): array {
        $schedule = ForwardLoading::load(ShopState::now()->problem(60));

        return array_map(fn ($step): array => [$step->start, $step->end, $step->machine], $schedule->steps);
    };
    Carbon::setTestNow(new DateTimeImmutable('2026-11-09 09:00 UTC'));
    $now = $plan();
    Carbon::setTestNow(new DateTimeImmutable('2026-11-16 09:00 UTC'));
    expect($plan())->toBe(array_map(fn (array $step): array => [$step[0] + 10080, $step[1] + 10080, $step[2]], $now))
        ->and(count($now))->toBeGreaterThan(8);
});
