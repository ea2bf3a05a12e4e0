<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;
use Tests\Support\OwnDatabase;

/* The planner beside the bookings, on a real MariaDB: killed, doubled, overtaken; nothing is left unplanned. */

beforeEach(function (): void {
    $this->live = new LiveShop('keep_pace_planner', with: ['PACE_PLANNER' => 'beside']);
});
afterEach(fn () => $this->live->end());

it('leaves nothing unplanned and nothing half, wherever it is killed', function (): void {
    $this->live->php('$shop->order("TRAY-40", "30"); $shop->order("EX-9E", "2");')->wait();
    $plan = fn (): string => $this->live->value(
        'SELECT CONCAT_WS("/", (SELECT stamp FROM plans WHERE id = 1), (SELECT COUNT(*) FROM plan_steps),
            (SELECT COUNT(*) FROM plan_orders), (SELECT COUNT(*) FROM unplanned))',
    );
    $before = $plan();
    // at its first look, while it reads, between reading and writing, while it writes, at the end before the commit
    foreach (
        [
            'from `unplanned`', 'from `order_steps`', 'SET TRANSACTION', 'for update', 'into `plan_orders`',
            'into `plan_inputs`', 'delete from `unplanned`',
        ] as $at
    ) {
        $killed = $this->live->php(<<<'PHP'
            DB::listen(function ($query) use ($at) {
                if (str_contains($query->sql, $at)) {
                    posix_kill(getmypid(), SIGKILL);
                }
            });
            Illuminate\Support\Facades\Artisan::call("pace:planner", ["--once" => true]);
            echo "lives";
            PHP, ['at' => $at]);
        LiveShop::until(fn (): bool => ! $killed->isRunning());
        $this->live->plannerIsSilent();
        expect($killed->getOutput())->toBe('', "not killed at {$at}")->and($plan())->toBe($before, $at);
    }
    $this->live->artisan('pace:planner', '--once');
    expect($this->live->isPlanned())->toBeTrue()
        ->and($plan())->not->toBe($before)
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('plans what began earlier and is committed later', function (): void {
    $early = $this->live->php(<<<'PHP'
        Event::listen(TransactionCommitting::class, function () use ($mark) {
            touch(sys_get_temp_dir()."/early-{$mark}");
            for ($i = 0; $i < 200 && ! file_exists(sys_get_temp_dir()."/late-{$mark}"); $i++) {
                usleep(50_000);
            }
        });
        $shop->goodsIn("BRG-25", "5", "7");
        PHP, ['mark' => $mark = bin2hex(random_bytes(4))]);
    $there = fn (string $name): string => sys_get_temp_dir()."/{$name}-{$mark}";
    LiveShop::until(fn (): bool => file_exists($there('early')));
    $this->live->php('$shop->goodsIn("MOT-120", "5", "80");')->wait();
    $this->live->artisan('pace:planner', '--once');
    $newest = $this->live->value('SELECT booking_id FROM plans WHERE id = 1');
    expect($this->live->isPlanned())->toBeTrue();
    touch($there('late'));
    $early->wait();
    array_map(unlink(...), [$there('early'), $there('late')]);
    expect((int) $this->live->value('SELECT booking_id FROM unplanned'))->toBeLessThan((int) $newest)
        ->toBeGreaterThan(0);
    $this->live->artisan('pace:planner', '--once');
    expect($this->live->isPlanned())->toBeTrue()->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('lets a board move stand that is made while it computes', function (): void {
    $this->live->php('$shop->order("TRAY-40", "30");')->wait();
    $this->live->artisan('pace:planner', '--once');
    $this->live->setClock('2026-11-24 11:00'); // what should have begun at nine moves, so the planner has to write
    $this->live->php('$shop->goodsIn("BRG-25", "5", "7");')->wait();
    $mark = bin2hex(random_bytes(4));
    $there = fn (string $name): string => sys_get_temp_dir()."/{$name}-{$mark}";
    $planner = $this->live->php(<<<'PHP'
        $waited = false;
        DB::listen(function ($query) use (&$waited, $mark) {
            if (! $waited && str_contains($query->sql, "from `plan_orders`")) {
                $waited = true; // it has read all, and is about to write
                touch(sys_get_temp_dir()."/read-{$mark}");
                for ($i = 0; $i < 200 && ! file_exists(sys_get_temp_dir()."/moved-{$mark}"); $i++) {
                    usleep(50_000);
                }
            }
        });
        Illuminate\Support\Facades\Artisan::call("pace:planner", ["--once" => true]);
        PHP, ['mark' => $mark]);
    LiveShop::until(fn (): bool => file_exists($there('read')));
    $this->live->php(<<<'PHP'
        $step = DB::table("plan_steps")->orderBy("start_at")->first();
        $minute = intdiv(strtotime("{$step->start_at} UTC"), 60) + 1440;
        $put = new Put($step->order_step_id, $step->work_centre_id, $step->machine, $minute);
        app(MoveStep::class)->handle(1, $put, true, null, $shop->sign(Role::Planner));
        PHP)->wait();
    $pinned = $this->live->value('SELECT start_at FROM plan_pins WHERE plan_id = 1');
    touch($there('moved'));
    $planner->wait();
    array_map(unlink(...), [$there('read'), $there('moved')]);
    expect($pinned)->not->toBe('')
        ->and($this->live->value(
            'SELECT p.start_at FROM plan_steps p JOIN plan_pins n USING (order_step_id) WHERE p.plan_id = 1',
        ))->toBe($pinned)
        ->and($this->live->isPlanned())->toBeTrue()
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('plans with two planners as with one', function (): void {
    $planners = array_map(fn (): Process => $this->live->command('pace:planner'), [1, 2]);
    $writers = array_map(fn (int $i): Process => $this->live->php(<<<'PHP'
        foreach (range(1, 5) as $n) {
            $shop->goodsIn("BRG-25", "1", "7.{$i}{$n}");
        }
        PHP, ['i' => $i]), range(1, 4));
    foreach ($writers as $writer) {
        $writer->wait();
    }
    LiveShop::until($this->live->isPlanned(...));
    $owner = $this->live->value('SELECT owner FROM planner');
    expect($this->live->isPlanned())->toBeTrue()->and($owner)->not->toBe('');
    // the one that plans is ended in good order, and the other takes over at once
    $ends = array_filter($planners, fn (Process $one): bool => str_contains($owner, "/{$one->getPid()}/"));
    expect($ends)->toHaveCount(1);
    array_values($ends)[0]->signal(SIGTERM);
    array_values($ends)[0]->wait();
    $this->live->php('$shop->goodsIn("MOT-120", "5", "80");')->wait();
    LiveShop::until($this->live->isPlanned(...), 5);
    expect($this->live->isPlanned())->toBeTrue()
        ->and($this->live->value('SELECT owner FROM planner'))->not->toBe($owner)
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('comes back after the database was killed', function (): void {
    $database = new OwnDatabase;
    $live = new LiveShop(
        'keep_pace_planner_db',
        port: $database->port,
        passwordFile: $database->passwordFile,
        with: ['PACE_PLANNER' => 'beside'],
    );
    try {
        $planner = $live->command('pace:planner');
        $live->php('$shop->goodsIn("BRG-25", "1", "7");')->wait();
        $live->untilPlanned();
        $database->kill();
        $planner->wait(); // it ends, and the supervisor begins it anew
        expect($planner->getExitCode())->not->toBe(0);
        $database->startAgain();
        $live->reconnect();
        $live->php('$shop->goodsIn("BRG-25", "1", "8");')->wait();
        $live->plannerIsSilent();
        $live->artisan('pace:planner', '--once');
        expect($live->value('SELECT COUNT(*) FROM unplanned'))->toBe('0')
            ->and($live->artisan('pace:verify'))->toContain('rules hold');
    } finally {
        $database->end();
    }
});
