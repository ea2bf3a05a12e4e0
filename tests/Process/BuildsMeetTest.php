<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;

/*
 * Several people build, take apart, combine, promise and hand on the same things at once. Common practice: it is as if
 * one came after the other; whoever finds too little is told, and nothing of theirs is booked.
 */

beforeEach(function (): void {
    $this->live = new LiveShop('keep_pace_builds_meet');
    $this->live->php(<<<'PHP'
        $shop->import([
            "items.csv" => "number,name,kind,unit,tracking,cost,costing,built_for_line\n"
                ."SET-M,Set,assembled,pc,none,20,average,\nHALF-M,Half,assembled,pc,none,5,average,\n"
                ."PIECE-M,Piece,bought,pc,none,5,average,\nUNIT-M,Unit,assembled,pc,serial,40,own,\n"
                ."KIT-M,Kit,assembled,pc,none,10,average,yes\n",
            "structures.csv" => "item,position,component,quantity,comes_back,share_rule,share\n"
                ."SET-M,10,PIECE-M,2,,,\nSET-M,20,HALF-M,-1,co_product,quantity,\nUNIT-M,10,PIECE-M,2,,,\n"
                ."KIT-M,10,PIECE-M,2,,,\n",
        ]);
        $shop->goodsIn("PIECE-M", "14", "5");
        PHP)->wait();
});

afterEach(fn () => $this->live->end());

/**
 * So many people do it at once, each with a number.
 *
 * @return array<string, int> how many were done, and how many were told what
 */
function atOnce(LiveShop $live, int $people, string $deed): array
{
    $code = "try {\n{$deed}\necho 'done';\n} catch (Refusal \$why) {\necho \$why->getMessage();\n}";
    $all = array_map(fn (int $i): Process => $live->php($code, ['i' => $i]), range(1, $people));
    $said = array_map(function (Process $process): string {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }, $all);

    return array_count_values($said);
}

it('builds as many as there are parts for when four build at once', function (): void {
    $this->live->php('$shop->order("SET-M", "10");')->wait();
    // each wants two pieces of the build, four parts: fourteen are there
    $said = atOnce($this->live, 4, <<<'PHP'
        $order = Order::query()->latest("id")->firstOrFail();
        app(App\Actions\Builds\BookBuild::class)->handle(
            new App\Actions\Builds\TypedBuild($order->id, $order->item_id, "10", "2", $shop->place("STORES")->id),
            $shop->sign(Role::Operator, token: "build-{$i}"),
        );
        PHP);
    $told = '2 of PIECE-M Piece are missing. 1 can be built of what is there, or say that they were used all the same.';
    $lies = fn (string $item): string => $this->live->value(
        "SELECT SUM(quantity) + 0 FROM balances b JOIN items i ON i.id = b.item_id WHERE i.number = '{$item}'",
    );

    expect($said)->toEqualCanonicalizing(['done' => 3, $told => 1])
        ->and($lies('SET-M'))->toBe('6.000000')
        ->and($lies('HALF-M'))->toBe('6.000000')
        ->and($lies('PIECE-M'))->toBe('2.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('takes a unit apart once when three do', function (): void {
    $this->live->php('$shop->goodsIn("UNIT-M", "1", "40", "U-1", place: "FINISHED");')->wait();
    $said = atOnce($this->live, 3, <<<'PHP'
        $unit = Balance::query()->whereRelation("item", "number", "UNIT-M")->firstOrFail();
        $parts = [new App\Actions\Apart\TypedApartPart("PIECE-M", "2", "100")];
        $typed = new App\Actions\Apart\TypedApart($unit->id, 0, null, $shop->place("STORES")->id, $parts);
        app(App\Actions\Apart\TakeApart::class)->handle($typed, $shop->sign(Role::Operator, token: "apart-{$i}"));
        PHP);

    expect($said['done'] ?? 0)->toBe(1)
        ->and(array_sum($said))->toBe(3)
        ->and($this->live->value('SELECT COUNT(*) FROM orders WHERE takes_apart'))->toBe('1')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('sets a step up with one other when three want it with theirs, and shares each set-up whole', function (): void {
    $this->live->php('foreach (["4", "3", "2", "5"] as $pieces) { $shop->order("TRAY-40", $pieces); }')->wait();
    $said = atOnce($this->live, 3, <<<'PHP'
        $orders = Order::query()->with("steps")->orderBy("id")->get();
        $steps = [$orders[0]->steps[0]->id, $orders[$i]->steps[0]->id];
        app(App\Actions\Combine\SetUpTogether::class)->handle(
            $steps,
            $shop->sign(Role::Planner, token: "once-{$i}"),
        );
        PHP);
    expect($said['done'] ?? 0)->toBe(1)
        ->and(array_sum($said))->toBe(3)
        ->and(implode(' ', array_keys($said)))->toContain('is set up with others already')
        ->and($this->live->value('SELECT COUNT(*) FROM shared_run_steps'))->toBe('2');
    $out = atOnce($this->live, 2, <<<'PHP'
        $step = DB::table("shared_run_steps")->orderBy("order_step_id")->pluck("order_step_id")[$i - 1] ?? 0;
        app(App\Actions\Combine\SetUpTogether::class)->takeOut(
            (int) $step,
            $shop->sign(Role::Planner, token: "alone-{$i}"),
        );
        PHP);
    // the second was set up by itself with the first
    expect($out['done'] ?? 0)->toBe(1)
        ->and($this->live->value('SELECT COUNT(*) FROM shared_run_steps'))->toBe('0')
        ->and($this->live->value('SELECT COUNT(*) FROM shared_runs'))->toBe('0')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('makes one order of two wishes once, and gives a share its own order once', function (): void {
    $this->live->php('$shop->customerOrder(["LID-9" => "6"]); $shop->customerOrder(["LID-9" => "4"]);')->wait();
    $said = atOnce($this->live, 3, <<<'PHP'
        $lines = CustomerOrderLine::query()->pluck("id")->all();
        app(App\Actions\Combine\CombineOrders::class)
            ->handle($lines, [], $shop->sign(Role::Planner, token: "combine-{$i}"));
        PHP);

    expect($said['done'] ?? 0)->toBe(1)
        ->and(array_sum($said))->toBe(3)
        ->and($this->live->value('SELECT COUNT(*) FROM orders'))->toBe('1');

    $said = atOnce($this->live, 3, <<<'PHP'
        app(App\Actions\Combine\TakeOutOfCombined::class)
            ->handle(Tie::query()->orderBy("id")->value("id"), $shop->sign(Role::Planner, token: "out-{$i}"));
        PHP);

    expect($said['done'] ?? 0)->toBe(1)
        ->and(array_sum($said))->toBe(3)
        ->and($this->live->value('SELECT GROUP_CONCAT(quantity + 0 ORDER BY id) FROM orders'))
        ->toBe('4.000000,6.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('builds and ships a line once when three ship it, and of two lines what there are parts for', function (): void {
    $this->live->php('$shop->customerOrder(["KIT-M" => "4"]); $shop->customerOrder(["KIT-M" => "4"]);')->wait();
    // two of them ship the second line, one the first
    $said = atOnce($this->live, 3, <<<'PHP'
        $line = CustomerOrderLine::query()->orderBy("id")->offset($i % 2)->firstOrFail();
        app(App\Actions\Builds\ShipAsBuilt::class)->handle(
            $line->customer_order_id,
            [$line->id => ["quantity" => "4", "lot" => 0]],
            $shop->sign(Role::Storekeeper, token: "ship-{$i}"),
        );
        PHP);
    // eight parts a line: fourteen are there, so that one line goes once, and who comes after is told
    $went = $this->live->value('SELECT SUM(shipped_quantity) + 0 FROM customer_order_lines');
    $lies = $this->live->value(
        "SELECT SUM(quantity) + 0 FROM balances b JOIN items i ON i.id = b.item_id WHERE i.number = 'PIECE-M'",
    );

    expect($said['done'] ?? 0)->toBe(1)
        ->and(array_sum($said))->toBe(3)
        ->and($went)->toBe('4.000000')
        ->and($lies)->toBe('6.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('promises no more of a co-product than comes', function (): void {
    $this->live->php('$shop->order("SET-M", "7"); $shop->customerOrder(["HALF-M" => "20"]);')->wait();
    $said = atOnce($this->live, 4, <<<'PHP'
        $line = CustomerOrderLine::query()->firstOrFail();
        $order = Order::query()->firstOrFail();
        app(TieLine::class)->toOrder($line->id, $order->id, "3", $shop->sign(Role::Sales, token: "tie-{$i}"));
        PHP);

    expect($said['done'] ?? 0)->toBe(2)
        ->and(array_sum($said))->toBe(4)
        ->and($this->live->value('SELECT SUM(quantity) + 0 FROM ties'))->toBe('6.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('hands on to who waits what two bring at once, and no more than is wanted', function (): void {
    $this->live->php('$shop->release($shop->order("UNIT-M", "5"));')->wait();
    // ten are waited for, fourteen lie there; two deliveries bring eight each, and one issues by hand
    $said = atOnce($this->live, 3, <<<'PHP'
        if ($i === 3) {
            $shop->issueAll(Order::query()->firstOrFail());
        } else {
            $line = $shop->purchase("P-{$i}", "PIECE-M", "8", "2026-12-01");
            app(ReceiveDelivery::class)->handle(
                App\Models\PurchaseOrder::query()->findOrFail($line->purchase_order_id)->supplier_id,
                [new Delivered(
                    "lines.{$line->id}",
                    $shop->arrival("PIECE-M", "8", "5", purchase: $line->id),
                    $line->id,
                )],
                "LS-{$i}",
                $shop->sign(Role::Storekeeper, token: "straight-{$i}"),
                straight: true,
            );
        }
        PHP);

    expect($said['done'] ?? 0)->toBeGreaterThanOrEqual(2)
        ->and(array_sum($said))->toBe(3)
        ->and($this->live->value('SELECT SUM(used_quantity) + 0 FROM order_components'))->toBe('10.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});
