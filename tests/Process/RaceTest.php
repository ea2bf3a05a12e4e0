<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;

/* Real processes on a real MariaDB: what two people do at once. */

beforeEach(fn () => $this->live = new LiveShop('keep_pace_race'));
afterEach(fn () => $this->live->end());

function inStock(LiveShop $live, string $item): string
{
    return $live->value(
        "SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = '{$item}'",
    );
}

/**
 * @param  list<Process>  $processes
 * @return list<string> what each printed
 */
function answers(array $processes): array
{
    return array_map(function (Process $process): string {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }, $processes);
}

it('gives the last piece to one of eight, and tells the others', function () {
    $this->live->php('$shop->release($shop->order("EX-9E", "30")); $shop->goodsIn("MOT-120", "1", "80");')->wait();
    // 15 motors lie there; eight people each want 4 of them
    $answers = answers(array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        $motor = OrderComponent::query()->whereRelation("item", "number", "MOT-120")->firstOrFail();
        try {
            $lines = [UseLine::planned($motor, "4")];
            app(IssueComponents::class)->handle($lines, false, $shop->sign(Role::Storekeeper, token: "race-{$i}"));
            echo "got";
        } catch (Refused $refused) {
            echo $refused->getMessage();
        }
        PHP, ['i' => $i]), range(1, 8)));
    $told = '4 of MOT-120 Drive motor 120 W asked for, 3 there';
    $answers = array_map(fn (string $answer): string => str_contains($answer, $told) ? 'told' : $answer, $answers);
    expect(array_count_values($answers))->toEqualCanonicalizing(['got' => 3, 'told' => 5])
        ->and(inStock($this->live, 'MOT-120'))->toBe('3.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('takes and brings one item with twenty writers at once, and loses nothing', function () {
    // each issues 3 times 1 of 15 and brings 2 in between: whoever finds nothing is told, and comes again
    $this->live->php('$shop->release($shop->order("EX-9E", "60"));')->wait();
    $answers = answers(array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        $motor = OrderComponent::query()->whereRelation("item", "number", "MOT-120")->firstOrFail();
        $got = 0;
        foreach (range(1, 3) as $n) {
            try {
                $lines = [UseLine::planned($motor, "1")];
                app(IssueComponents::class)->handle($lines, false, $shop->sign(Role::Storekeeper, token: "w{$i}-{$n}"));
                $got++;
            } catch (Refused) {
            }
            $shop->goodsIn("MOT-120", "1", "80.{$n}");
        }
        echo $got;
        PHP, ['i' => $i]), range(1, 20)));
    expect(array_filter($answers, fn (string $answer): bool => ! ctype_digit($answer)))->toBe([]);
    $left = 14 + 60 - array_sum(array_map(intval(...), $answers));
    expect(inStock($this->live, 'MOT-120'))->toBe("{$left}.000000")
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('books one token once when four send it at the same moment', function () {
    $answers = answers(array_map(fn (): Process => $this->live->php(<<<'PHP'
        $signed = $shop->sign(Role::Storekeeper, token: "one-token");
        echo app(GoodsIn::class)->handle($shop->arrival("BRG-25", "10", "7"), $signed)->id;
        PHP), range(1, 4)));
    expect(array_unique($answers))->toHaveCount(1)
        ->and($answers[0])->toMatch('/^\d+$/')
        ->and(inStock($this->live, 'BRG-25'))->toBe('90.000000');
});

it('numbers orders without gap or double from six writers, over different items in any order', function () {
    $answers = answers(array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        foreach (range(1, 5) as $n) {
            $shop->order(["TRAY-40", "LID-9", "TANK-50"][($n + $i) % 3], "2");
            $shop->goodsIn(["BRG-25", "GATE-40", "MOT-120"][($n * $i) % 3], "1");
        }
        echo "ok";
        PHP, ['i' => $i]), range(1, 6)));
    expect(array_unique($answers))->toBe(['ok']);
    $numbers = 'COUNT(DISTINCT number), "/", MIN(CAST(number AS UNSIGNED)), "/", MAX(CAST(number AS UNSIGNED))';
    expect($this->live->value("SELECT CONCAT({$numbers}) FROM orders"))->toBe('30/218/247')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('reverses a booking once when two press at the same moment', function () {
    $this->live->php('$shop->goodsIn("BRG-25", "10", "7");')->wait();
    $id = $this->live->value("SELECT MAX(id) FROM bookings WHERE kind = 'goods_in'");
    $answers = answers(array_map(fn (): Process => $this->live->php(<<<'PHP'
        try {
            $shop->reverse(Booking::query()->findOrFail($id));
            echo "done";
        } catch (Refused) {
            echo "told";
        }
        PHP, ['id' => $id]), range(1, 3)));
    expect(array_count_values($answers))->toEqualCanonicalizing(['done' => 1, 'told' => 2])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('leaves nothing of a booking whose connection is killed before it is whole', function () {
    $all = 'SELECT CONCAT(COUNT(*), "/", (SELECT COUNT(*) FROM moves), "/", (SELECT SUM(quantity) FROM balances))
        FROM bookings';
    $before = $this->live->value($all);
    // another session kills it between the move and the end of the transaction
    $this->live->php(<<<'PHP'
        DB::listen(function ($query) {
            if (str_contains($query->sql, "insert into `moves`")) {
                $other = new PDO("mysql:host=127.0.0.1;port=".getenv("DB_PORT"), "keep_pace", "");
                $other->exec("KILL ".DB::selectOne("SELECT CONNECTION_ID() AS id")->id);
            }
        });
        $shop->goodsIn("BRG-25", "10", "7");
        PHP)->wait();
    usleep(300_000);
    expect($this->live->value($all))->toBe($before)
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('lets one of four move a plan they all saw, tells the others, and loses no step meanwhile', function () {
    $this->live->php('for ($i = 0; $i < 4; $i++) { $shop->order("TRAY-40", "6"); }')->wait();
    $mover = fn (int $i, string $role): Process => $this->live->php(<<<'PHP'
        try {
            $step = DB::table("plan_steps")->where("work_centre_id", 1)->orderBy("start_at")->offset($i)->limit(1)
                ->value("order_step_id");
            $by = $shop->as(Role::from($role));
            $put = new Put($step, 1, 1, intdiv(time(), 60));
            app(MoveStep::class)->handle(1, $put, false, 0, new Signed("plan-race-{$i}", $by));
            echo "moved";
        } catch (Refused $refused) {
            echo $refused->getMessage();
        }
        PHP, ['i' => $i, 'role' => $role]);
    $booker = $this->live->php('for ($i = 0; $i < 6; $i++) { $shop->order("LID-9", "2"); } echo "booked";');
    $answers = answers([...array_map($mover, range(0, 3), ['supervisor', 'planner', 'storekeeper', 'buyer']), $booker]);
    $told = fn (string $answer): string => str_contains($answer, 'changed the plan meanwhile') ? 'told' : $answer;
    $steps = "SELECT COUNT(*) FROM order_steps s JOIN orders o ON o.id = s.order_id
        WHERE o.state IN ('firm', 'released', 'running')";
    expect(array_count_values(array_map($told, $answers)))
        ->toEqualCanonicalizing(['moved' => 1, 'told' => 3, 'booked' => 1])
        ->and($this->live->value('SELECT COUNT(*) FROM plan_changes'))->toBe('1')
        ->and($this->live->value('SELECT COUNT(*) FROM plan_steps WHERE plan_id = 1'))->toBe($this->live->value($steps))
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('holds one gap for one of three sellers, and gives the others the next', function () {
    $seller = fn (int $i): Process => $this->live->php(<<<'PHP'
        $date = new DateToHold($shop->item("TRAY-40")->id, new TypedQuantity("60"));
        app(HoldPromise::class)->handle($date, $shop->sign(Role::Sales, token: "hold-race-{$i}"));
        echo "held";
        PHP, ['i' => $i]);
    expect(answers(array_map($seller, range(1, 3))))->toBe(['held', 'held', 'held'])
        ->and($this->live->value('SELECT COUNT(DISTINCT finish_at) FROM promises'))->toBe('3')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('gives the same lot to whoever comes first, and tells the others; no value is lost', function () {
    $this->live->php('$shop->release($shop->order("DRUM-9", "200"));')->wait();
    $this->live->php('$shop->release($shop->order("EX-9E", "9"));')->wait();
    $answers = answers(array_map(fn (): Process => $this->live->php(<<<'PHP'
        $sheet = OrderComponent::query()->whereRelation("item", "number", "SS-15")->firstOrFail();
        try {
            $shop->issue($sheet, "12", ["H-7731" => "12"]);
            echo "got";
        } catch (Refused $refused) {
            echo $refused->getMessage();
        }
        PHP), range(1, 8)));
    $told = '12 of lot H-7731 asked for, 2 there. Take what is there, or book in what came first.';
    expect(array_count_values($answers))->toEqualCanonicalizing(['got' => 4, $told => 4]);
    // first in, first out: eight take from the same layers, half of them give back
    $answers = answers(array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        $gate = OrderComponent::query()->whereRelation("item", "number", "GATE-40")->firstOrFail();
        $booking = $shop->issue($gate, "1", [], "race", true);
        $i % 2 === 0 ? $shop->goodsIn("GATE-40", "2", "12.{$i}1") : $shop->reverse($booking);
        echo "ok";
        PHP, ['i' => $i]), range(1, 8)));
    expect(array_unique($answers))->toBe(['ok'])->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('books a slip once when two book it at once, and lets nothing slip into a period being closed', function () {
    $this->live->php(<<<'PHP'
        $order = $shop->order("EX-9E", "3");
        $shop->release($order);
        app(ProposeSlip::class)->handle([$order->id], "whole", null, $shop->sign(Role::Storekeeper, token: "slip"));
        PHP)->wait();
    $answers = answers(array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        try {
            app(BookSlip::class)->handle(1, 1, false, false, $shop->sign(Role::Storekeeper, token: "book-{$i}"));
            echo "booked";
        } catch (Refused $refused) {
            echo $refused->getMessage();
        }
        PHP, ['i' => $i]), range(1, 4)));
    expect(array_count_values($answers))->toEqualCanonicalizing(['booked' => 1, 'Slip 1 is booked already.' => 3]);
    $yesterday = '2026-11-23'; // by the shop's clock
    $bringer = fn (int $i): Process => $this->live->php(<<<'PHP'
        $signed = $shop->sign(Role::Storekeeper, token: "p{$i}")->on($yesterday);
        try {
            app(GoodsIn::class)->handle($shop->arrival("BRG-25", "1", "7"), $signed);
            echo "in";
        } catch (Refused) {
            echo "closed";
        }
        PHP, ['i' => $i, 'yesterday' => $yesterday]);
    $closer = $this->live->php(<<<'PHP'
        app(ClosePeriod::class)->handle($yesterday, $shop->sign(Role::CostClerk, token: "close"));
        echo "shut";
        PHP, ['yesterday' => $yesterday]);
    $answers = answers([...array_map($bringer, range(1, 6)), $closer]);
    expect(array_diff($answers, ['in', 'closed', 'shut']))->toBe([])
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});
