<?php

use App\Access\Deed;
use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Models\Order;
use App\Models\WorkCentre;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** A shop with n customer orders, each with an order in the shop and pieces counted. */
function fill(object $test, int $n): void
{
    app(\App\Planner\KeepUp::class)->atTheEnd(function () use ($test, $n) {
        for ($i = 0; $i < $n; $i++) {
            $customerOrder = $test->shop->customerOrder(['TRAY-40' => '2', 'EX-9H' => '1']);
            $test->shop->cover($customerOrder, CoverBy::StockThenOrder, withParts: true);
            foreach (Order::query()->where('state', 'firm')->get() as $order) {
                $test->shop->release($order);
            }
            $tray = Order::query()
                ->where('item_id', $test->shop->item('TRAY-40')->id)
                ->orderByDesc('id')
                ->firstOrFail();
            $step = $tray->steps()->firstOrFail();
            $test->shop->report($step, '1', '1');
            $drum = $test->shop->order('DRUM-9', '2');
            $test->shop->release($drum);
            foreach ($drum->steps()->get()->takeWhile(fn ($step): bool => ! $step->isOutside()) as $step) {
                $test->shop->report($step, '2', '2');
            }
            $outside = $drum->steps()->whereNotNull('supplier_id')->firstOrFail();
            $test->shop->orderWork($outside);
            $test->shop->sendOut($outside, '1');
            $bought = \App\Models\PurchaseOrder::query()->count();
            $line = $test->shop->purchase('P-'.($bought + 20), 'FOOT-1', '5', '2026-12-09');
            $test->shop->comes($line, '4');
            $test->shop->bill($line, '4', '1');
        }
        $test->shop->order('TRAY-40', '3');
    });
}

/** @return array<string, string> address by name */
/** A slip over all released orders, however many there are. */
function wholeSlip(): App\Models\Slip
{
    return app(App\Actions\Usage\ProposeSlip::class)->handle(
        Order::query()
            ->whereIn('state', ['released', 'running'])
            ->pluck('id')
            ->all(),
        'whole',
        null,
        test()->shop->sign(Role::Storekeeper, token: 'pages-'.Order::query()->count()),
    );
}

function pages(): array
{
    return [
        'today' => '/',
        'orders' => '/orders',
        'one order' => '/orders/'.Order::query()->min('id'),
        'customer orders' => '/customer-orders',
        'one customer order' => '/customer-orders/'.DB::table('customer_orders')->min('id'),
        'the chain of a line' => '/customer-lines/'.DB::table('ties')->whereNotNull('line_id')->max('line_id').'/chain',
        'new customer order' => '/customer-orders/new',
        'release' => '/release',
        'board' => '/board?zoom=quarter',
        'board by order' => '/board?by=order',
        'late' => '/late',
        'why' => '/late/'.Order::query()->min('id'),
        'plans' => '/plans',
        'absence' => '/absence',
        'dispatch lists' => '/dispatch',
        'a dispatch list' => '/dispatch/1?days=30',
        'its csv' => '/dispatch/1/list.csv',
        'calendars' => '/calendars',
        'a calendar' => '/calendars/1',
        'promise' => '/promise',
        'board data' => '/board/data',
        'board news' => '/board/news',
        'issue' => '/issue',
        'issue, chosen' => '/issue?'
            .http_build_query(['orders' => Order::query()->where('state', '<>', 'firm')->pluck('id')->all()]),
        'a slip' => '/slips/'.wholeSlip()->id,
        'a pick list' => '/slips/'.wholeSlip()->id.'/pick',
        'returns' => '/returns?order='.Order::query()->where('state', 'running')->value('number'),
        'parts' => '/parts',
        'shortages' => '/shortages',
        'shortages by order' => '/shortages?by=order',
        'rank' => '/rank',
        'purchases' => '/purchases',
        'purchase drafts' => '/purchases?show=drafts',
        'all purchases' => '/purchases?show=all',
        'mail out' => '/mails',
        'at the gate' => '/gate',
        'goods in' => '/goods-in',
        'goods in of a supplier' => '/goods-in?supplier='.DB::table('suppliers')->min('id'),
        'coming and going' => '/coming-and-going',
        'coming and going of an item' => '/coming-and-going/'.DB::table('items')->where('number', 'SS-15')->value('id'),
        'chase' => '/chase',
        'send out' => '/send-out',
        'claims' => '/claims',
        'at suppliers' => '/at-suppliers',
        'at suppliers, by item' => '/at-suppliers?by=item',
        'a consignment' => '/consignments/'.DB::table('consignments')->min('id'),
        'bills' => '/bills',
        'a bill to type' => '/bills/new?supplier='.DB::table('suppliers')->min('id'),
        'a bill' => '/bills/'.DB::table('bills')->min('id'),
        'not billed' => '/not-billed',
        'questions' => '/questions',
        'periods' => '/periods',
        'stations' => '/station',
        'one station' => '/station/'.WorkCentre::query()->where('code', 'LASER')->value('id'),
        'receive' => '/receive',
        'ship' => '/ship',
        'stock' => '/stock',
        'one item' => '/stock/'.test()->shop->item('SS-15')->id,
        'bookings' => '/bookings',
        'one booking' => '/bookings/'.DB::table('bookings')->max('id'),
        'find' => '/find?q=e',
        'import' => '/import',
        'items' => '/items?only=short',
        'what an item is' => '/items/'.test()->shop->item('DRUM-9')->id,
        'what a product is' => '/items/'.test()->shop->item('EX-9H')->id,
        'an item to be changed' => '/items/'.test()->shop->item('EX-9H')->id.'/change',
        'a new item' => '/items/new?like='.test()->shop->item('EX-9H')->id,
        'a structure' => '/structures/'.DB::table('structures')->max('id').'?pieces=7',
        'a routing' => '/routings/'.DB::table('routings')->max('id'),
        'drafts' => '/drafts',
        'work centres' => '/work-centres',
        'a work centre' => '/work-centres/1',
        'customers' => '/customers',
        'a customer' => '/customers/1',
        'suppliers' => '/suppliers',
        'a supplier' => '/suppliers/7',
        'a supplier to be changed' => '/suppliers/7/change',
        'changes' => '/changes?text=planner',
        'places' => '/places',
        'crews' => '/crews',
        'units' => '/units',
        'settings' => '/settings',
        'standard costs' => '/standard-costs',
    ];
}

it('shows every page, and asks the database as often for 6 orders as for 1', function () {
    $count = function (): array {
        $counts = [];
        foreach (pages() as $name => $address) {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->actingAs($this->shop->as(Role::Supervisor))->get($address)->assertOk();
            // the session is Laravel's own affair (it also sweeps now and then)
            $counts[$name] = count(array_filter(DB::getQueryLog(),
                fn (array $query): bool => ! str_contains($query['query'], '`sessions`')));
            DB::disableQueryLog();
        }

        return $counts;
    };
    fill($this, 1);
    \App\Shop\ShopClock::now(); // asked once a minute
    $one = $count();
    fill($this, 5);
    expect($count())->toBe($one)->and(max($one))->toBeLessThanOrEqual(30); // one of them how far the planner is
});

it('shows every page of an empty shop', function () {
    foreach (
        [
            '/',
            '/orders',
            '/customer-orders',
            '/release',
            '/board',
            '/issue',
            '/station',
            '/receive',
            '/ship',
            '/stock',
            '/items',
            '/items/new',
            '/drafts',
            '/work-centres',
            '/bookings',
            '/parts',
            '/shortages',
            '/rank',
            '/purchases',
            '/questions',
            '/returns',
            '/periods',
            '/late',
            '/plans',
            '/absence',
            '/dispatch',
            '/dispatch/1',
            '/dispatch/1/list.pdf',
            '/dispatch/1/list.csv',
            '/calendars',
            '/promise',
            '/board/data',
        ] as $address
    ) {
        $this->actingAs($this->shop->as(Role::Supervisor))->get($address)->assertOk();
    }
    $this->get('/orders/99999')->assertNotFound();
});

it('lets nobody in without a login, and each role do what the one map says', function () {
    fill($this, 1);
    foreach (Route::getRoutes() as $route) {
        if (in_array(
            $route->getName(),
            ['login', 'login.store', 'logout', 'storage.local', 'bookings.destroy', 'dispatch.feed', 'up', null],
            true,
        )) {
            continue;
        }
        $method = $route->methods()[0];
        $uri = '/'.preg_replace(['/\{what\}/', '/\{\w+\}/'], ['machine', '1'], $route->uri());
        Auth::logout();
        $status = $this->call($method, $uri)->getStatusCode();
        expect($status)->toBe(302, "nobody on {$route->getName()}");
        $deeds = array_map(fn (string $middleware): Deed => Deed::from(substr($middleware, 4)),
            array_filter($route->gatherMiddleware(), fn ($middleware): bool => is_string($middleware)
            && str_starts_with($middleware, 'may:')));
        expect($deeds)->not->toBe([], "{$route->getName()} asks for no deed");
        foreach (Role::cases() as $role) {
            $may = array_filter($deeds, fn (Deed $deed): bool => ! $role->may($deed)) === [];
            $status = $this->actingAs($this->shop->as($role))->call($method, $uri)->getStatusCode();
            expect($status === 403)->toBe(! $may, "{$role->value} on {$route->getName()}: {$status}");
        }
    }
});

it('gives no button for what a role may not do', function (Role $role, string $address, string $button, bool $there) {
    fill($this, 1);
    $response = $this->actingAs($this->shop->as($role))->get($address);
    $there ? $response->assertSee($button, false) : $response->assertDontSee($button, false);
})->with([
    [Role::Operator, '/release', 'data-count-of=".pick-order"', false],
    [Role::Supervisor, '/release', 'data-count-of=".pick-order"', true],
    [Role::Buyer, '/customer-orders', 'New customer order', false],
    [Role::Sales, '/customer-orders', 'New customer order', true],
    [Role::Operator, '/stock', 'Book goods in', false],
    [Role::Storekeeper, '/stock', 'Book goods in', true],
]);

it('goes straight to what was scanned, and lists what it may be', function () {
    fill($this, 1);
    $order = Order::query()->firstOrFail();
    $this->actingAs($this->shop->as(Role::Operator))->get("/find?q={$order->number}")
        ->assertRedirect("/orders/{$order->id}");
    $this->get('/find?q=H-7714')->assertRedirectContains('/stock/');
    $this->get('/find?q=extractor')->assertSee('EX-20E')->assertSee('EX-9H');
    $this->get('/find?q=zzz')->assertSee('Nothing has this number');
    $this->get('/find?q=%25')->assertSee('Nothing has this number');
});

it('escapes what people typed', function () {
    DB::table('customers')->where('number', 'K-01')->update(['name' => '<script>alert(1)</script>']);
    $this->shop->customerOrder(['TRAY-40' => '1']);
    $this->actingAs($this->shop->as(Role::Sales))->get('/customer-orders')->assertSee('&lt;script&gt;', false)
        ->assertDontSee('<script>alert', false);
});

it('filters orders by state, readiness, lateness, customer, item and work centre', function (string $query, int $rows) {
    app(\App\Planner\KeepUp::class)->atTheEnd(function () {
        $this->shop->cover($this->shop->customerOrder(['TRAY-40' => '2'], '2026-12-24'));
        $this->shop->release($this->shop->order('LID-9', '4', '2026-11-20'));
        $this->shop->order('EX-20E', '40', null);
    });
    $query = str_replace(
        ['{K}', '{TRAY}', '{MILL}'],
        [
            (string) DB::table('customers')->min('id'),
            (string) $this->shop->item('TRAY-40')->id,
            (string) WorkCentre::query()->where('code', 'TEST')->value('id'),
        ],
        $query,
    );
    $html = $this->actingAs($this->shop->as(Role::Supervisor))
        ->get("/orders?{$query}")
        ->assertOk()
        ->getContent();
    expect(preg_match_all('/<a class="num"/', $html))->toBe($rows);
})->with([
    ['', 3],
    ['state=firm', 2],
    ['state=released', 1],
    ['state=closed', 0],
    ['readiness=stuck', 1],
    ['readiness=can-release', 1],
    ['pace=late', 1],
    ['customer={K}', 1],
    ['item={TRAY}', 1],
    ['work_centre={MILL}', 1],
    ['text=lid', 1],
    ['text=%25', 0],
    ['state=nonsense&readiness=x', 3],
]);

it('says how each line is covered, in one phrase', function () {
    $customerOrder = $this->shop->customerOrder(['LID-9' => '10']);
    $this->shop->cover($customerOrder);
    $this->actingAs($this->shop->as(Role::Sales))
        ->get('/customer-orders')
        ->assertSeeInOrder(['8 from stock, 2 from 218 ']);
});

it('counts a running balance back from today', function () {
    foreach (range(1, 60) as $i) {
        $this->shop->goodsIn('BRG-25', '1', '7');
    }
    $item = $this->shop->item('BRG-25')->id;
    $all = \App\Queries\Stock\StockList::movements($item);
    expect($all->first()->onHand->toInt())->toBe(140)->and($all)->toHaveCount(50);
    $older = \App\Queries\Stock\StockList::movements($item, $all->last()->id);
    expect($older->first()->onHand->toInt())->toBe(90)->and($older->last()->onHand->toInt())->toBe(80);
});

it('says times on the plant\'s clock, the night it changes too', function (int|string $time, string $said) {
    expect(App\Wording\When::say($time))->toBe($said);
})->with([
    'value from memory: Dublin is at UTC in November' => ['2026-11-24 14:30:00', 'today 14:30'],
    'a minute of UTC' => [intdiv(strtotime('2026-11-25 06:00 UTC'), 60), 'tomorrow 06:00'],
    'yesterday' => ['2026-11-23 23:59:00', 'yesterday 23:59'],
    'within a week' => ['2026-11-30 08:00:00', 'Mon 08:00'], 'later' => ['2026-12-03 08:00:00', '3 Dec'],
    'another year' => ['2027-03-28 08:00:00', '28 Mar 2027'],
]);

it('says the time of a far day too where days alone do not tell rows apart', function () {
    expect(App\Wording\When::exact('2026-12-03 08:05:00'))->toBe('3 Dec 08:05')
        ->and(App\Wording\When::exact('2026-11-24 14:30:00'))->toBe('today 14:30')
        ->and(App\Wording\When::exact(null))->toBe('–');
});

it('knows the hour the clock jumps over: IANA time zone data, Europe/Dublin 2027-03-28 01:00 UTC', function () {
    $this->travelTo(new DateTimeImmutable('2027-03-28 09:00 UTC'));
    expect(App\Wording\When::say('2027-03-28 00:59:00'))->toBe('today 00:59')
        ->and(App\Wording\When::say('2027-03-28 01:00:00'))->toBe('today 02:00')
        ->and(App\Wording\When::span('2027-03-27 23:30:00', '2027-03-28 01:30:00'))
        ->toBe('yesterday 23:30 to today 02:30');
});

it('sends pages that load only from here and are framed by nobody', function () {
    $response = $this->get('/login');
    expect($response->headers->get('Content-Security-Policy'))->toContain("script-src 'self'")
        ->toContain("frame-ancestors 'none'")
        ->and($response->headers->get('X-Content-Type-Options'))->toBe('nosniff');
    expect(preg_match('/<script(?![^>]*\bsrc=)|\son[a-z]+=/', (string) $response->getContent()))->toBe(0);
});
