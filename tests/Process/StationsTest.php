<?php

use Symfony\Component\Process\Process;
use Tests\Support\LiveShop;
use Tests\Support\OwnDatabase;

/*
 * Twenty stations at once, each sending everything twice, with connections cut, the database and the planner killed
 * under them: nothing is lost, nothing doubled, nothing left unplanned.
 */

it('loses and doubles nothing when the database is killed under twenty stations', function () {
    $database = new OwnDatabase;
    $live = new LiveShop(
        'keep_pace_stations',
        port: $database->port,
        passwordFile: $database->passwordFile,
        with: ['PACE_PLANNER' => 'beside'],
    );
    try {
        $planner = $live->command('pace:planner');
        $before = (float) $live->value(
            "SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = 'BRG-25'",
        );
        // each books six pieces in under six tokens, sends each again, and asks again for as long as nobody answers;
        // now and then its connection is cut between a statement and the commit
        $stations = array_map(fn (int $i): Process => $live->php(<<<'PHP'
            $asked = 0;
            DB::listen(function () use (&$asked) {
                $asked++ % 41 === 40 && DB::connection()->getPdo()->exec("KILL CONNECTION_ID()");
            });
            $arrival = $shop->arrival("BRG-25", "1", "7");
            $by = $shop->as(Role::Storekeeper);
            foreach ([1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6] as $n) {
                $booked = false;
                for ($try = 0; $try < 300 && ! $booked; $try++) {
                    try {
                        app(GoodsIn::class)->handle($arrival, new Signed("s{$i}-{$n}", $by));
                        $booked = true;
                    } catch (Throwable $cut) {
                        usleep(100_000);
                        DB::reconnect();
                    }
                }
                $booked || print("gave up: ".$cut->getMessage());
            }
            echo "done";
            PHP, ['i' => $i]), range(1, 20));
        $booked = fn (): int => (int) $live->value("SELECT COUNT(*) FROM bookings WHERE token LIKE 's%-%'");
        for ($i = 0; $i < 300 && $booked() < 30; $i++) {
            usleep(50_000);
        }
        $planner->signal(SIGKILL);
        $database->kill();
        usleep(300_000);
        $database->startAgain();
        $live->reconnect();
        $live->command('pace:planner'); // it waits until the lease of the killed one runs out
        foreach ($stations as $station) {
            $station->wait();
        }
        expect(array_unique(array_map(
            fn (Process $station): string => trim($station->getOutput()),
            $stations,
        )))->toBe(['done']);
        $live->untilPlanned();
        $value = $live->value(...);
        expect($value('SELECT COUNT(*) FROM unplanned'))->toBe('0')
            ->and($value('SELECT MAX(booking_id) FROM plans'))->toBe($value('SELECT MAX(id) FROM bookings'))
            ->and($value("SELECT COUNT(*) FROM bookings WHERE token LIKE 's%-%'"))->toBe('120')
            ->and((float) $value(
                "SELECT SUM(quantity) FROM balances JOIN items ON items.id = item_id WHERE number = 'BRG-25'",
            ))
            ->toBe($before + 120);
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
