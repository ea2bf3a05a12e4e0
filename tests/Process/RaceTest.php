<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;

/* Real processes on a real MariaDB: what two people do at once. */

beforeEach(fn () => $this->live = new LiveShop('keep_pace_race'));
afterEach(fn () => $this->live->end());

/** @param  list<Process>  $processes @return list<string> what each printed */
function answers(array $processes): array
{
    return array_map(function (Process $process): string {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }, $processes);
}

it('gives the last piece to one of eight, and tells the others', function () {
    $this->live->php('$o = $shop->order("EX-9E", "30"); $shop->release($o); $shop->goodsIn("MOT-120", "1", "80"); Illuminate\Support\Facades\DB::table("balances")->where("item_id", $shop->item("MOT-120")->id)->first();')->wait();
    // 15 motors lie there; eight people each want 4 of them
    $answers = answers(array_map(fn (int $i): Process => $this->live
        ->php('$c = App\Models\OrderComponent::query()->whereRelation("item", "number", "MOT-120")->firstOrFail();
        try { app(App\Actions\Usage\IssueComponents::class)
            ->handle([App\Actions\Usage\UseLine::planned($c, "4")], false, "", "race-'.$i.'",
            $shop->as(App\Access\Role::Storekeeper)); echo "got"; } catch (KeepPace\Core\Refused $r) { echo $r->getMessage(); }'), range(1, 8)));
    expect(array_count_values(array_map(fn (string $answer): string => $answer === 'got' ? 'got'
        : (str_contains($answer, '4 of MOT-120 Drive motor 120 W asked for, 3 there') ? 'told' : $answer), $answers)))
        ->toEqualCanonicalizing(['got' => 3, 'told' => 5]);
    expect($this->live->value("SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = 'MOT-120'"))
        ->toBe('3.000000');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('takes and brings one item with twenty writers at once, and loses nothing', function () {
    // each issues 3 times 1 of 15 and brings 2 in between: whoever finds nothing is told, and comes again
    $this->live->php('$o = $shop->order("EX-9E", "60"); $shop->release($o);')->wait();
    $answers = answers(array_map(fn (int $i): Process => $this->live
        ->php('$c = App\\Models\\OrderComponent::query()->whereRelation("item", "number", "MOT-120")->firstOrFail(); $got = 0;
        foreach (range(1, 3) as $n) { try { app(App\\Actions\\Usage\\IssueComponents::class)
            ->handle([App\\Actions\\Usage\\UseLine::planned($c, "1")], false, "", "w'.$i.'-$n",
            $shop->as(App\\Access\\Role::Storekeeper)); $got++; } catch (KeepPace\\Core\\Refused $r) { } $shop->goodsIn("MOT-120", "1",
            "80.".$n); }
        echo $got;'), range(1, 20)));
    expect(array_filter($answers, fn (string $answer): bool => ! ctype_digit($answer)))->toBe([]);
    expect($this->live->value("SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = 'MOT-120'"))
        ->toBe(sprintf('%d.000000', 14 + 60 - array_sum(array_map(intval(...), $answers))));
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('books one token once when four send it at the same moment', function () {
    $answers = answers(array_map(fn (): Process => $this->live
        ->php('echo app(App\Actions\Stock\GoodsIn::class)->handle($shop->item("BRG-25")->id, "10", null, "7", $shop->place("STORES")->id, "", null, "one-token", $shop->as(App\Access\Role::Storekeeper))->id;'), range(1, 4)));
    expect(array_unique($answers))->toHaveCount(1)->and($answers[0])->toMatch('/^\d+$/');
    expect($this->live->value("SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = 'BRG-25'"))
        ->toBe('90.000000');
});

it('numbers orders without gap or double from six writers, over different items in any order', function () {
    $answers = answers(array_map(fn (int $i): Process => $this->live
        ->php('foreach (range(1, 5) as $n) { $shop->order(["TRAY-40", "LID-9", "TANK-50"][($n + '.$i.') % 3], "2"); $shop->goodsIn(["BRG-25", "GATE-40", "MOT-120"][($n * '.$i.') % 3], "1"); } echo "ok";'), range(1, 6)));
    expect(array_unique($answers))->toBe(['ok']);
    expect($this->live->value('SELECT CONCAT(COUNT(DISTINCT number), "/", MIN(CAST(number AS UNSIGNED)), "/", MAX(CAST(number AS UNSIGNED))) FROM orders'))->toBe('30/218/247');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('reverses a booking once when two press at the same moment', function () {
    $this->live->php('$shop->goodsIn("BRG-25", "10", "7");')->wait();
    $id = $this->live->value("SELECT MAX(id) FROM bookings WHERE kind = 'goods_in'");
    $answers = answers(array_map(fn (): Process => $this->live
        ->php('try { $shop->reverse(App\Models\Booking::query()->findOrFail('.$id.')); echo "done"; } catch (KeepPace\Core\Refused $r) { echo "told"; }'), range(1, 3)));
    expect(array_count_values($answers))->toEqualCanonicalizing(['done' => 1, 'told' => 2])->and($this->live->artisan('pace:verify'))
        ->toContain('rules hold');
});

it('leaves nothing of a booking whose connection is killed before it is whole', function () {
    $before = $this->live->value('SELECT CONCAT(COUNT(*), "/", (SELECT COUNT(*) FROM moves), "/", (SELECT SUM(quantity) FROM balances)) FROM bookings');
    // another session kills it between the move and the end of the transaction
    $this->live->php('Illuminate\Support\Facades\DB::listen(function ($q) { if (str_contains($q->sql, "insert into `moves`")) { (new PDO("mysql:host=127.0.0.1;port=".getenv("DB_PORT"), "keep_pace", ""))->exec("KILL ".Illuminate\Support\Facades\DB::selectOne("SELECT CONNECTION_ID() AS id")->id); } });
        $shop->goodsIn("BRG-25", "10", "7");')->wait();
    usleep(300_000);
    expect($this->live->value('SELECT CONCAT(COUNT(*), "/", (SELECT COUNT(*) FROM moves), "/", (SELECT SUM(quantity) FROM balances)) FROM bookings'))->toBe($before);
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('lets one of four move a plan they all saw, tells the others who did, and loses no step while the shop books on', function () {
    $this->live->php('for ($i = 0; $i < 4; $i++) { $shop->order("TRAY-40", "6"); }')->wait();
    $mover = fn (int $i, string $role): Process => $this->live->php('try { $step = Illuminate\Support\Facades\DB::table("plan_steps")->where("work_centre_id", 1)->orderBy("start_at")->offset('.$i.')->limit(1)->value("order_step_id");
        app(App\Actions\Schedule\MoveStep::class)->handle(1, $step, 1, 1, intdiv(time(), 60), false, 0, "plan-race-'.$i.'", $shop->as(App\Access\Role::from("'.$role.'"))); echo "moved"; }
        catch (KeepPace\Core\Refused $r) { echo $r->getMessage(); }');
    $booker = $this->live->php('for ($i = 0; $i < 6; $i++) { $shop->order("LID-9", "2"); } echo "booked";');
    $answers = answers([...array_map($mover, range(0, 3), ['supervisor', 'planner', 'storekeeper', 'buyer']), $booker]);
    expect(array_count_values(array_map(fn (string $answer): string => str_contains($answer, 'changed the plan meanwhile') ? 'told' : $answer, $answers)))
        ->toEqualCanonicalizing(['moved' => 1, 'told' => 3, 'booked' => 1]);
    expect($this->live->value('SELECT COUNT(*) FROM plan_changes'))->toBe('1')
        ->and($this->live->value('SELECT COUNT(*) FROM plan_steps WHERE plan_id = 1'))->toBe($this->live->value("SELECT COUNT(*) FROM order_steps s JOIN orders o ON o.id = s.order_id WHERE o.state IN ('firm', 'released', 'running')"))
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('holds one gap for one of three sellers, and gives the others the next', function () {
    $seller = fn (int $i): Process => $this->live->php('$b = app(App\Actions\Schedule\HoldPromise::class)->handle($shop->item("TRAY-40")->id, "60", null, false, 4, "", null, "hold-race-'.$i.'", $shop->as(App\Access\Role::Sales)); echo "held";');
    expect(answers(array_map($seller, range(1, 3))))->toBe(['held', 'held', 'held'])
        ->and($this->live->value('SELECT COUNT(DISTINCT finish_at) FROM promises'))->toBe('3')->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('gives the same lot to whoever comes first, and tells the others; no value is lost', function () {
    $this->live->php('$o = $shop->order("DRUM-9", "200"); $shop->release($o); $o = $shop->order("EX-9E", "9"); $shop->release($o);')->wait();
    $answers = answers(array_map(fn (int $i): Process => $this->live->php('$c = App\Models\OrderComponent::query()->whereRelation("item", "number", "SS-15")->firstOrFail();
        try { $shop->issue($c, "12", ["H-7731" => "12"]); echo "got"; } catch (KeepPace\Core\Refused $r) { echo $r->getMessage(); }'), range(1, 8)));
    expect(array_count_values($answers))->toEqualCanonicalizing(['got' => 4, '12 of lot H-7731 asked for, 2 there. Take what is there, or book in what came first.' => 4]);
    // first in, first out: eight take from the same layers, half of them give back
    $answers = answers(array_map(fn (int $i): Process => $this->live->php('$c = App\Models\OrderComponent::query()->whereRelation("item", "number", "GATE-40")->firstOrFail();
        $b = $shop->issue($c, "1", [], "race", true); '.($i % 2 === 0 ? '$shop->goodsIn("GATE-40", "2", "12.'.$i.'1"); ' : '$shop->reverse($b); ').'echo "ok";'), range(1, 8)));
    expect(array_unique($answers))->toBe(['ok'])->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('books a slip once when two book it at once, and lets no booking slip into a period that is being closed', function () {
    $this->live->php('$o = $shop->order("EX-9E", "3"); $shop->release($o); app(App\Actions\Usage\ProposeSlip::class)->handle([$o->id], "whole", null, "slip", $shop->as(App\Access\Role::Storekeeper));')->wait();
    $answers = answers(array_map(fn (int $i): Process => $this->live->php('try { app(App\Actions\Usage\BookSlip::class)->handle(1, 1, false, false, "", "book-'.$i.'", $shop->as(App\Access\Role::Storekeeper)); echo "booked"; }
        catch (KeepPace\Core\Refused $r) { echo $r->getMessage(); }'), range(1, 4)));
    expect(array_count_values($answers))->toEqualCanonicalizing(['booked' => 1, 'Slip 1 is booked already.' => 3]);
    $yesterday = '2026-11-23'; // by the shop's clock
    $answers = answers([...array_map(fn (int $i): Process => $this->live->php('try { app(App\Actions\Stock\GoodsIn::class)->handle($shop->item("BRG-25")->id, "1", null, "7", $shop->place("STORES")->id, "", null, "p'.$i.'", $shop->as(App\Access\Role::Storekeeper),
        new App\Actions\Stock\Arrival(bookedOn: "'.$yesterday.'")); echo "in"; } catch (KeepPace\Core\Refused $r) { echo "closed"; }'), range(1, 6)),
        $this->live->php('app(App\Actions\Bookings\ClosePeriod::class)->handle("'.$yesterday.'", "close", $shop->as(App\Access\Role::CostClerk)); echo "shut";')]);
    expect(array_diff($answers, ['in', 'closed', 'shut']))->toBe([])->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});
