<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;
use Tests\Support\Meeting;

/* What deeds lock and how they meet, on a real MariaDB with processes of their own. */

beforeEach(fn () => $this->live = new LiveShop('keep_pace_locks'));
afterEach(fn () => $this->live->end());

/**
 * @param  list<Process>  $processes
 * @return list<string> what each printed
 */
function said(array $processes): array
{
    return array_map(function (Process $process): string {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }, $processes);
}

/** Code that prints how many rows the deed after it holds locked when it is about to be committed. */
const ROWS_LOCKED = <<<'PHP'
    Event::listen(TransactionCommitting::class, function () {
        static $isFirst = true;
        if ($isFirst) {
            $user = posix_getpwuid(posix_geteuid())["name"];
            $watcher = new PDO("mysql:unix_socket=".getenv("DB_SOCKET"), $user, "");
            $locked = "SELECT trx_rows_locked FROM information_schema.INNODB_TRX WHERE trx_mysql_thread_id = ";
            print($watcher->query($locked.DB::selectOne("SELECT CONNECTION_ID() AS id")->id)->fetchColumn());
        }
        $isFirst = false;
    });

    PHP;

it('locks a few rows however many balances there are', function (string $deed) {
    // 500 lots of one item beside those of the demo
    $this->live->php(<<<'PHP'
        [$item, $place] = [$shop->item("SS-15")->id, $shop->place("RACK")->id];
        $with = ["place_id" => $place, "condition" => "free", "owner_id" => 0, "quantity" => 1];
        foreach (range(1, 500) as $n) {
            $lot = Lot::query()->create(["item_id" => $item, "code" => "L-{$n}"]);
            DB::table("balances")->insert(["item_id" => $item, "lot_id" => $lot->id, ...$with]);
        }
        PHP)->wait();
    [$rows] = said([$this->live->php(ROWS_LOCKED.$deed)]);
    expect($rows)->toMatch('/^\d+$/')->and((int) $rows)->toBeLessThan(30);
})->with([
    'goods in' => ['$shop->goodsIn("SS-15", "3", "46", "NEW", null, "RACK");'],
    'a count' => [<<<'PHP'
        $balance = Balance::query()->where("item_id", $shop->item("BRG-25")->id)->firstOrFail();
        app(CountBalance::class)->handle($balance->id, "70", $shop->sign(Role::Storekeeper, "x", "t"));
        PHP],
    'scrap' => [<<<'PHP'
        $balance = Balance::query()->where("item_id", $shop->item("SS-15")->id)->orderBy("id")->firstOrFail();
        $by = $shop->as(Role::Storekeeper);
        app(ScrapStock::class)->handle($balance->id, "1", ScrapClass::Handling, new Signed("t", $by, "x"));
        PHP],
    'blocking' => [<<<'PHP'
        $balance = Balance::query()->where("item_id", $shop->item("SS-15")->id)->orderBy("id")->firstOrFail();
        $by = $shop->as(Role::Storekeeper);
        app(ChangeCondition::class)->handle($balance->id, "1", Condition::Blocked, new Signed("t", $by, "x"));
        PHP],
]);

/**
 * A deed that stands still between what it read and what it writes: it waits as often as a statement of this kind
 * comes.
 */
function slowly(string $statement, int $microseconds = 1_500_000): string
{
    return "DB::listen(fn (\$query) => str_contains(\$query->sql, '{$statement}') && usleep({$microseconds}));\n";
}

/** An order of 6 lids for a customer line, all good at its last step; the line also has 10 from stock. */
const COVERED = <<<'PHP'
    $shop->goodsIn("LID-9", "2", "41");
    $shop->cover($shop->customerOrder(["LID-9" => "16"]));
    $order = Order::query()->latest("id")->firstOrFail();
    $shop->release($order, "x");
    foreach ($order->components()->pluck("item_id")->unique() as $id) {
        $item = Item::query()->with("unit")->findOrFail($id);
        $item->isTracked() ?: $shop->goodsIn($item->number, "99", "1");
    }
    $shop->issueAll($order);
    $shop->workThrough($order);

    PHP;

it('keeps cover the sum of its entries when two deeds meet', function (
    string $first,
    string $statement,
    int $nth,
    string $second,
    string $left,
) {
    [$order] = said([$this->live->php(COVERED.'echo $order->id;')]);
    expect($order)->toMatch('/^\d+$/');
    [$one, $two] = (new Meeting($this->live))->of($first, $statement, $nth, $second);
    expect([$one, $two])->toBe(['done', 'done'])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold')
        ->and($this->live->value(
            'SELECT GROUP_CONCAT(TRIM(quantity) + 0 ORDER BY supply_kind + 0) FROM ties WHERE line_id IS NOT NULL',
        ))
        ->toBe($left);
})->with(fn (): array => [
    // cover from stock and by the order: 10 and 6; 3 are received, 1 shipped
    'untie x receive: untied first, then 3 come' => [untie(), 'select * from `ties`', 3, receive(), '3,3'],
    'receive x untie: 3 come, all of it untied' => [receive(), 'select * from `ties`', 2, untie(), '0,3'],
    'ship x receive' => [ship(), 'select * from `ties`', 1, receive(), '12,3'],
    'receive x ship' => [receive(), 'select * from `ties`', 2, ship(), '12,3'],
    'cancel x receive: nothing is covered any more' => [cancel(), 'select * from `ties`', 1, receive(), '0,0'],
    'receive x cancel' => [receive(), 'select * from `ties`', 2, cancel(), '0,0'],
]);

function told(string $deed): string
{
    return "try {\n{$deed}\necho 'done';\n} catch (Refusal) {\necho 'told';\n}";
}

function untie(): string
{
    return told(<<<'PHP'
        $cover = Tie::query()->where("supply_kind", "stock")->firstOrFail();
        app(TieLine::class)->untie($cover->id, $shop->sign(Role::Planner, "x", "untie"));
        PHP);
}

function receive(): string
{
    return told('$shop->receive(Order::query()->latest("id")->firstOrFail(), "3");');
}

function ship(): string
{
    return told(<<<'PHP'
        $order = CustomerOrder::query()->with("lines")->latest("id")->firstOrFail();
        $shop->ship($order, [$order->lines[0]->id => "1"]);
        PHP);
}

function cancel(): string
{
    return told(<<<'PHP'
        $line = CustomerOrderLine::query()->with("customerOrder")->latest("id")->firstOrFail();
        [$version, $by] = [$line->customerOrder->version, $shop->as(Role::Sales)];
        app(CancelLine::class)->handle($line->id, $version, NoLongerFor::Shelf, null, new Signed("cancel", $by, "x"));
        PHP);
}

it('loses no goods to a sweep of empty balances', function () {
    $this->live->php(<<<'PHP'
        $shop->goodsIn("SS-15", "3", "46", "GONE", null, "RACK");
        $lot = Lot::query()->where("code", "GONE")->value("id");
        $balance = Balance::query()->where("lot_id", $lot)->firstOrFail();
        $by = $shop->as(Role::Storekeeper);
        app(ScrapStock::class)->handle($balance->id, "3", ScrapClass::Handling, new Signed("t", $by, "x"));
        PHP)->wait();
    $count = fn (): string => $this->live->value(
        "SELECT CONCAT(COUNT(*), '/', COALESCE(SUM(b.quantity), 0)) FROM balances b JOIN lots l ON l.id = b.lot_id "
            ."WHERE l.code = 'GONE'",
    );
    expect($count())->toBe('1/0.000000');
    $booker = $this->live->php(<<<'PHP'
        $by = $shop->as(Role::Storekeeper)->id;
        foreach (range(1, 8) as $i) {
            $shop->goodsIn("SS-15", "1", "46", "GONE", null, "RACK");
            $reversed = Booking::query()->whereNotNull("reverses_id")->select("reverses_id");
            $mine = Booking::query()->where("kind", "goods_in")->where("person_id", $by)->whereNotIn("id", $reversed);
            $shop->reverse($mine->latest("id")->firstOrFail());
        }
        echo "ok";
        PHP);
    $sweeper = fn (): Process => $this->live->php(<<<'PHP'
        foreach (range(1, 30) as $i) {
            app(SweepBalances::class)->handle();
        }
        echo "ok";
        PHP);
    $answers = said([$booker, ...array_map($sweeper, range(1, 3))]);
    expect(array_unique($answers))->toBe(['ok'])->and($this->live->artisan('pace:verify'))->toContain('rules hold');
    $this->live->artisan('pace:sweep');
    expect($count())->toBe('0/0.000000')->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('closes a period beside an import, and lets bookings go on', function () {
    $folder = sys_get_temp_dir().'/keep-pace-locks-'.bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("{$folder}/customers.csv", "number,name\nK-77,Hollow Oak Apiary\n");
    // an import that stands still when it has written its customers
    $import = '$folder = '.var_export($folder, true).';'.<<<'PHP'
        app(ImportFolder::class)->handle($folder, $shop->as(Role::Planner));
        echo "imported";
        PHP;
    $beside = <<<'PHP'
        app(ClosePeriod::class)->handle("2026-11-20", $shop->sign(Role::CostClerk, token: "close"));
        $shop->goodsIn("BRG-25", "1", "7");
        echo file_exists("{$at}.go") ? "too late" : "closed and booked";
        PHP;
    expect((new Meeting($this->live))->of($import, 'insert into `customers`', 1, $beside, 30))
        ->toBe(['imported', 'closed and booked'])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
    array_map(unlink(...), glob("{$folder}/*") ?: []);
    rmdir($folder);
});

it('does not wait to close a period, and says why it could not', function () {
    // a booking that holds the period for as long as the closing tries
    $slow = $this->live->php(slowly('insert into `bookings`', 4_000_000).<<<'PHP'
        $shop->goodsIn("BRG-25", "1", "7");
        echo "booked";
        PHP);
    usleep(900_000);
    $close = $this->live->php(<<<'PHP'
        try {
            app(ClosePeriod::class)->handle("2026-11-20", $shop->sign(Role::CostClerk, token: "close"));
        } catch (Refused $refused) {
            echo $refused->getMessage();
        }
        PHP);
    usleep(400_000);
    $began = microtime(true);
    expect(said([$this->live->php('$shop->goodsIn("GATE-40", "1", "7"); echo "booked";')]))->toBe(['booked'])
        ->and(microtime(true) - $began)->toBeLessThan(2.5) // it did not stand behind the closing
        ->and(said([$close, $slow]))->toBe(['Bookings are under way just now. Try again in a moment.', 'booked']);
});
