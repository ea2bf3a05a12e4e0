<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;
use Tests\Support\OwnDatabase;

/*
 * Twenty stations at once, each sending every report twice, with connections cut, the database and the planner killed
 * under them: nothing is lost, nothing doubled, nothing left unplanned.
 */

it('loses and doubles nothing when the database is killed under twenty stations', function () {
    $reports = (int) (getenv('PACE_REPORTS') ?: 6); // of each; `bench/run reports` asks for 500
    $database = new OwnDatabase;
    $live = new LiveShop(
        'keep_pace_stations',
        port: $database->port,
        passwordFile: $database->passwordFile,
        with: ['PACE_PLANNER' => 'beside'],
    );
    try {
        $planner = $live->command('pace:planner');
        $made = $live->php(<<<'PHP'
            foreach (range(1, 20) as $i) {
                $order = $shop->order("LID-9", (string) $reports);
                $shop->release($order);
                echo $order->steps[0]->id, " ";
            }
            PHP, ['reports' => $reports]);
        $made->wait();
        $steps = array_map(intval(...), explode(' ', trim($made->getOutput())));
        // each counts its pieces one by one, each under a token of its own, sends each again, and asks again for as
        // long as nobody answers; now and then its connection is cut between a statement and the commit
        $stations = array_map(fn (int $i): Process => $live->php(<<<'PHP'
            $asked = 0;
            DB::listen(function () use (&$asked) {
                $asked++ % 41 === 40 && DB::connection()->getPdo()->exec("KILL CONNECTION_ID()");
            });
            $by = $shop->as(Role::Operator);
            $one = ["good" => "1", "scrap" => "0", "pass_on" => "1", "minutes" => 1, "reason" => ""];
            foreach (range(2, 2 * $reports + 1) as $twice) {
                $n = intdiv($twice, 2);
                $booked = false;
                for ($try = 0; $try < 300 && ! $booked; $try++) {
                    try {
                        app(ReportStep::class)->handle($step, $one, new Signed("s{$step}-{$n}", $by));
                        $booked = true;
                    } catch (Throwable $cut) {
                        usleep(100_000);
                        DB::reconnect();
                    }
                }
                $booked || print("gave up: ".$cut->getMessage());
            }
            echo "done";
            PHP, ['step' => $i, 'reports' => $reports]), $steps);
        $booked = fn (): int => (int) $live->value("SELECT COUNT(*) FROM bookings WHERE token LIKE 's%-%'");
        // each has begun: what a process does before its first report does not try again
        $begun = fn (): int => (int) $live->value(
            "SELECT COUNT(DISTINCT SUBSTRING_INDEX(token, '-', 1)) FROM bookings WHERE token LIKE 's%-%'",
        );
        for ($i = 0; $i < 3000 && ($booked() < 5 * $reports || $begun() < 20); $i++) {
            usleep(50_000);
        }
        $planner->signal(SIGKILL);
        $database->kill();
        usleep(300_000);
        $database->startAgain();
        $live->reconnect();
        $live->command('pace:planner'); // it waits until the lease of the killed one runs out
        foreach ($stations as $station) {
            $station->setTimeout(null)->wait();
        }
        expect(array_unique(array_map(
            fn (Process $station): string => trim($station->getOutput()),
            $stations,
        )))->toBe(['done']);
        $live->untilPlanned();
        $value = $live->value(...);
        expect($value('SELECT COUNT(*) FROM unplanned'))->toBe('0')
            ->and($value('SELECT MAX(booking_id) FROM plans'))->toBe($value('SELECT MAX(id) FROM bookings'))
            ->and($value("SELECT COUNT(*) FROM bookings WHERE token LIKE 's%-%'"))->toBe((string) (20 * $reports))
            ->and($value("SELECT SUM(e.good) FROM step_entries e JOIN bookings b ON b.id = e.booking_id
                WHERE b.token LIKE 's%-%'"))->toBe(20 * $reports.'.000000')
            ->and($value('SELECT COUNT(*) FROM order_steps s JOIN orders o ON o.id = s.order_id
                WHERE s.number = 10 AND s.good = o.quantity AND o.quantity = '.$reports))->toBe('20');
        $verify = new Process(
            ['php', 'artisan', 'pace:verify'],
            dirname(__DIR__, 2),
            [
                'DB_PORT' => $database->port,
                'DB_PASSWORD_FILE' => $database->passwordFile,
                'DB_DATABASE' => $live->database,
                'APP_ENV' => 'production',
            ],
            null,
            120,
        );
        $verify->run();
        expect($verify->getOutput())->toContain('rules hold');
    } finally {
        $database->end();
    }
});
