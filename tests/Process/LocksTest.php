<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;
use Tests\Support\Meeting;

/* What deeds lock and how they meet, on a real MariaDB with processes of their own. */

beforeEach(fn () => $this->live = new LiveShop('keep_pace_locks'));
afterEach(fn () => $this->live->end());

/** @param  list<Process>  $processes @return list<string> what each printed */
function said(array $processes): array
{
    return array_map(function (Process $process): string {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }, $processes);
}

/** Code that prints how many rows the deed after it holds locked when it is about to be committed. */
const ROWS_LOCKED = 'Illuminate\Support\Facades\Event::listen(Illuminate\Database\Events\TransactionCommitting::class, function () {
    static $first = true; $first && print((new PDO("mysql:unix_socket=".getenv("DB_SOCKET"), posix_getpwuid(posix_geteuid())["name"], ""))->query("SELECT trx_rows_locked FROM information_schema.INNODB_TRX WHERE trx_mysql_thread_id = "
    .Illuminate\Support\Facades\DB::selectOne("SELECT CONNECTION_ID() AS id")->id)->fetchColumn()); $first = false; }); ';

it('locks a few rows however many balances there are', function (string $deed) {
    // 500 lots of one item beside those of the demo
    $this->live->php('$item = $shop->item("SS-15"); $place = $shop->place("RACK"); $now = 0;
        foreach (range(1, 500) as $n) { $lot = App\Models\Lot::query()->create(["item_id" => $item->id, "code" => "L-$n"]);
        Illuminate\Support\Facades\DB::table("balances")->insert(["item_id" => $item->id, "place_id" => $place->id, "lot_id" => $lot->id, "condition" => "free", "owner_id" => 0, "quantity" => 1]); }')->wait();
    [$rows] = said([$this->live->php(ROWS_LOCKED.$deed)]);
    expect($rows)->toMatch('/^\d+$/')->and((int) $rows)->toBeLessThan(30);
})->with([
    'goods in' => ['$shop->goodsIn("SS-15", "3", "46", "NEW", null, "RACK");'],
    'a count' => ['$b = App\Models\Balance::query()->where("item_id", $shop->item("BRG-25")->id)->firstOrFail();
        app(App\Actions\Stock\CountBalance::class)->handle($b->id, "70", "x", "t", $shop->as(App\Access\Role::Storekeeper));'],
    'scrap' => ['$b = App\Models\Balance::query()->where("item_id", $shop->item("SS-15")->id)->firstOrFail();
        app(App\Actions\Stock\ScrapStock::class)->handle($b->id, "1", KeepPace\Core\Stock\ScrapClass::Handling, "x", "t", $shop->as(App\Access\Role::Storekeeper));'],
    'blocking' => ['$b = App\Models\Balance::query()->where("item_id", $shop->item("SS-15")->id)->firstOrFail();
        app(App\Actions\Stock\ChangeCondition::class)->handle($b->id, "1", KeepPace\Core\Stock\Condition::Blocked, "x", "t", $shop->as(App\Access\Role::Storekeeper));'],
]);

/**
 * A deed that stands still between what it read and what it writes: it waits as often as a statement of this kind
 * comes.
 */
function slowly(string $statement): string
{
    return 'Illuminate\Support\Facades\DB::listen(function ($q) { if (str_contains($q->sql, "'.$statement.'")) { usleep(1500000); } }); ';
}

/** An order of 6 lids for a customer line, all good at its last step; the line also has 10 from stock. */
const COVERED = '$shop->goodsIn("LID-9", "2", "41"); $c = $shop->customerOrder(["LID-9" => "16"]); $shop->cover($c);
    $o = App\Models\Order::query()->latest("id")->firstOrFail(); $shop->release($o, "x"); foreach ($o->components()->pluck("item_id")->unique() as $i) {
    $n = App\Models\Item::query()->with("unit")->findOrFail($i); $n->isTracked() ?: $shop->goodsIn($n->number, "99", "1"); } $shop->issueAll($o); $shop->workThrough($o); ';

it('keeps cover the sum of its entries when two deeds meet', function (
    string $first,
    string $statement,
    int $nth,
    string $second,
    string $left,
) {
    [$order] = said([$this->live->php(COVERED.'echo $o->id;')]);
    expect($order)->toMatch('/^\d+$/');
    [$one, $two] = (new Meeting($this->live))->of($first, $statement, $nth, $second);
    expect([$one, $two])->toBe(['done', 'done'])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold')
        ->and($this->live->value('SELECT GROUP_CONCAT(TRIM(quantity) + 0 ORDER BY supply DESC) FROM covers'))
        ->toBe($left);
})->with(fn (): array => [
    // cover from stock and by the order: 10 and 6; 3 are received, 1 shipped
    'untie x receive: untied first, then 3 come' => [untie(), 'select * from `covers`', 3, receive(), '3,3'],
    'receive x untie: 3 come, all of it untied' => [receive(), 'select * from `covers`', 2, untie(), '0,3'],
    'ship x receive' => [ship(), 'select * from `covers`', 1, receive(), '12,3'],
    'receive x ship' => [receive(), 'select * from `covers`', 2, ship(), '12,3'],
    'cancel x receive: nothing is covered any more' => [cancel(), 'select * from `covers`', 1, receive(), '0,0'],
    'receive x cancel' => [receive(), 'select * from `covers`', 2, cancel(), '0,0'],
]);

function told(string $deed): string
{
    return 'try { '.$deed.' echo "done"; } catch (KeepPace\Core\Refusal $r) { echo "told"; }';
}

function untie(): string
{
    return told(
        'app(App\Actions\Cover\TieToOrder::class)->untie(App\Models\Cover::query()->where("supply", "stock")->firstOrFail()->id, "x", "untie", $shop->as(App\Access\Role::Planner));',
    );
}

function receive(): string
{
    return told('$shop->receive(App\Models\Order::query()->latest("id")->firstOrFail(), "3");');
}

function ship(): string
{
    return told(
        '$c = App\Models\CustomerOrder::query()->with("lines")->latest("id")->firstOrFail(); $shop->ship($c, [$c->lines[0]->id => "1"]);',
    );
}

function cancel(): string
{
    return told('$l = App\Models\CustomerOrderLine::query()->with("customerOrder")->latest("id")->firstOrFail();
        app(App\Actions\Demand\CancelLine::class)->handle($l->id, $l->customerOrder->version, "shelf", null, "x", "cancel", $shop->as(App\Access\Role::Sales));');
}

it('loses no goods to a sweep of empty balances', function () {
    $this->live->php('$shop->goodsIn("SS-15", "3", "46", "GONE", null, "RACK"); $b = App\Models\Balance::query()->where("lot_id", App\Models\Lot::query()->where("code", "GONE")->value("id"))->firstOrFail();
        app(App\Actions\Stock\ScrapStock::class)->handle($b->id, "3", KeepPace\Core\Stock\ScrapClass::Handling, "x", "t", $shop->as(App\Access\Role::Storekeeper));')->wait();
    $count = fn (): string => $this->live->value(
        "SELECT CONCAT(COUNT(*), '/', COALESCE(SUM(b.quantity), 0)) FROM balances b JOIN lots l ON l.id = b.lot_id WHERE l.code = 'GONE'",
    );
    expect($count())->toBe('1/0.000000');
    $answers = said([
        ...array_map(
            fn (int $n): Process => $this->live->php(
                'foreach (range(1, 8) as $i) { $shop->goodsIn("SS-15", "1", "46", "GONE", null, "RACK"); $shop->reverse(App\Models\Booking::query()->where("kind", "goods_in")->where("user_id", $shop->as(App\Access\Role::Storekeeper)->id)->whereNotIn("id", App\Models\Booking::query()->whereNotNull("reverses_id")->select("reverses_id"))->latest("id")->firstOrFail()); } echo "ok";',
            ),
            [1],
        ),
        ...array_map(
            fn (int $n): Process => $this->live->php(
                'foreach (range(1, 30) as $i) { app(App\Actions\Stock\SweepBalances::class)->handle(); } echo "ok";',
            ),
            range(1, 3),
        ),
    ]);
    expect(array_unique($answers))->toBe(['ok'])->and($this->live->artisan('pace:verify'))->toContain('rules hold');
    $this->live->artisan('pace:sweep');
    expect($count())->toBe('0/0.000000')->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('closes a period beside an import, and lets bookings go on', function () {
    // an import that takes a while: it stands still when it has written its customers
    $folder = sys_get_temp_dir().'/keep-pace-locks-'.bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("{$folder}/customers.csv", "number,name\nK-77,Hollow Oak Apiary\n");
    $import = $this->live->php(
        slowly(
            'insert into `customers`',
        ).'app(App\Actions\Import\ImportFolder::class)->handle("'.$folder.'", $shop->as(App\Access\Role::Planner)); echo "imported";',
    );
    usleep(900_000);
    $close = $this->live->php(told(
        'app(App\Actions\Bookings\ClosePeriod::class)->handle("2026-11-20", "close", $shop->as(App\Access\Role::CostClerk));',
    ));
    expect(said([$close]))->toBe(['done'])
        ->and(said([$this->live->php('$shop->goodsIn("BRG-25", "1", "7"); echo "booked";')]))->toBe(['booked'])
        ->and($import->isRunning())->toBeTrue()
        ->and(said([$import]))->toBe(['imported'])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
    array_map(unlink(...), glob("{$folder}/*") ?: []);
    rmdir($folder);
});

it('does not wait to close a period, and says why it could not', function () {
    // a booking that holds the period for as long as the closing tries
    $slow = $this->live->php(
        str_replace(
            '1500000',
            '4000000',
            slowly('insert into `bookings`'),
        ).'$shop->goodsIn("BRG-25", "1", "7"); echo "booked";',
    );
    usleep(900_000);
    $close = $this->live->php(
        'try { app(App\Actions\Bookings\ClosePeriod::class)->handle("2026-11-20", "close", $shop->as(App\Access\Role::CostClerk)); } catch (KeepPace\Core\Refused $r) { echo $r->getMessage(); }',
    );
    usleep(400_000);
    $began = microtime(true);
    expect(said([$this->live->php('$shop->goodsIn("GATE-40", "1", "7"); echo "booked";')]))->toBe(['booked'])
        ->and(microtime(true) - $began)->toBeLessThan(2.5) // it did not stand behind the closing
        ->and(said([$close, $slow]))->toBe(['Bookings are under way just now. Try again in a moment.', 'booked']);
});
