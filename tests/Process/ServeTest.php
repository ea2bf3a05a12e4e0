<?php

use Symfony\Component\Process\Process;
use Tests\Support\StartedShop;

/* bin/start while it serves: it ends what it started, brings back what was killed, and lets nobody else in. */

beforeEach(function () {
    $this->shop = new StartedShop;
});

afterEach(fn () => $this->shop->gone());

it('starts, serves, starts again, and ends all it started', function () {
    foreach ([StartedShop::FIRST, []] as $options) { // the first person is asked for once
        $process = $this->shop->serve($options);
        expect(file_get_contents("http://127.0.0.1:{$this->shop->port}/login"))
            ->toContain('Keep Pace')->not
            ->toContain('Demo password');
        $this->shop->end($process);
    }
});

it(
    'brings back what was killed within ten seconds, a worker of the web server too, and says when all is well',
    function () {
        $process = $this->shop->serve();
        $up = fn (): string => (string) @file_get_contents(
            "http://127.0.0.1:{$this->shop->port}/up",
            false,
            stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 2]]),
        );
        // the first answer compiles all of it, and the planner takes its seat after the web server answers
        for ($i = 0; $i < 60 && (! str_contains($up(), 'well planner') || str_contains($up(), 'NOT WELL')); $i++) {
            usleep(500_000);
        }
        expect($up())
            ->toContain('well database')
            ->toContain('well clock')
            ->toContain('well queue')
            ->toContain('well planner');
        $workers = count($this->shop->processes('php-fpm: pool'));
        expect($workers)->toBeGreaterThanOrEqual(4);
        foreach (
            [
                'php-fpm: pool' => $workers,
                'php-fpm: master' => 1,
                'nginx: master' => 1,
                'pace:planner' => 1,
                'queue:work --sleep' => 1,
                'queue:work --queue=levers' => 1,
                'schedule:work' => 1,
                'mariadbd --no-defaults' => 1,
            ] as $text => $count
        ) {
            $there = $this->shop->processes($text);
            expect($there)->toHaveCount($count, $text);
            posix_kill($killed = (int) end($there), SIGKILL);
            $began = microtime(true);
            do {
                usleep(100_000);
                $now = $this->shop->processes($text);
                $isBack =
                    count($now) === $count && ! in_array($killed, $now, true) && str_contains($up(), 'well database');
            } while (! $isBack && microtime(true) - $began < 10);
            expect($isBack)->toBeTrue("{$text} is not back after ten seconds");
        }
        $this->shop->end($process);
    },
);

it('runs the database and PHP as users of their own, and lets nobody in without a password', function () {
    $process = $this->shop->serve();
    $owner = fn (string $text): array => array_values(array_unique(array_map(
        fn (int $pid): string => posix_getpwuid(fileowner("/proc/{$pid}"))['name'],
        $this->shop->processes($text),
    )));
    // only root can give processes other users, and only where these can enter the folder; it is said where not
    $me = posix_getpwuid(posix_geteuid())['name'];
    $isGiven = $me === 'root' && ! str_contains($process->getOutput(), 'Nobody but root can enter this folder');
    [$db, $php] = $isGiven ? ['keep-pace-db', 'keep-pace'] : [$me, $me];
    expect($owner('mariadbd --no-defaults'))->toBe([$db])
        ->and($owner('php-fpm: pool'))->toBe([$php])
        ->and($owner('nginx: master'))->toBe([$php])
        ->and($owner('pace:planner'))->toBe([$php])
        ->and($owner('queue:work'))->toBe([$php])
        ->and($owner('schedule:work'))->toBe([$php]);
    expect(substr(sprintf('%o', fileperms("{$this->shop->var}/db.password")), -3))->toBe('600')
        ->and(strlen(trim((string) file_get_contents("{$this->shop->var}/db.password"))))->toBeGreaterThan(40);
    $at = $this->shop->running();
    foreach (['root', 'keep_pace', '', 'mariadb.sys'] as $name) {
        expect(fn () => new PDO("mysql:host=127.0.0.1;port={$at['DB_PORT']}", $name, ''))->toThrow(PDOException::class);
    }
    // anybody else of the machine, by the socket
    foreach (['root', 'keep_pace', ''] as $name) {
        $client = ['mariadb', '--no-defaults', "--socket={$at['DB_SOCKET']}", "--user={$name}", '-e', 'SELECT 1'];
        $try = new Process(['runuser', '-u', 'nobody', '--', ...$client]);
        $try->run();
        expect($try->getExitCode())->not->toBe(0, $name)->and($try->getErrorOutput())->toContain('Access denied');
    }
    // what serves may add to the books, and change nothing that stands in them
    $web = new PDO(
        "mysql:host=127.0.0.1;port={$at['DB_PORT']};dbname=keep_pace",
        'keep_pace_web',
        trim((string) file_get_contents("{$this->shop->var}/db-web.password")),
        [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
    );
    expect($web->query('SELECT COUNT(*) FROM bookings')->fetchColumn())->toBeGreaterThan(0)
        ->and($web->exec("UPDATE people SET name = 'Ada Quarry' WHERE login = 'ada'"))->toBe(0);
    foreach (Tests\FeatureTestCase::writtenOnce() as $table) {
        $column = $web->query("SHOW COLUMNS FROM {$table}")->fetchColumn();
        foreach (["UPDATE {$table} SET {$column} = {$column}", "DELETE FROM {$table}", "TRUNCATE {$table}"] as $sql) {
            expect(fn () => $web->exec($sql))->toThrow(PDOException::class, 'command denied');
        }
        $web->exec("INSERT INTO {$table} SELECT * FROM {$table} WHERE 1 = 0");
    }
    expect(fn () => $web->exec('CREATE TABLE more (id INT)'))->toThrow(PDOException::class, 'command denied');
    // and books through the web
    $page = new Tests\Support\Page("http://127.0.0.1:{$this->shop->port}");
    $page->send('/login', ['login' => 'ada', 'password' => 'seven slow kettles']);
    $before = (int) $web->query('SELECT COUNT(*) FROM booking_says')->fetchColumn();
    $page->send('/people', [
        'token' => 'by-the-web',
        'login' => 'bram',
        'name' => 'Bram Tolley',
        'password' => 'eleven slow kettles',
        'roles' => ['operator'],
    ]);
    expect((int) $web->query('SELECT COUNT(*) FROM booking_says')->fetchColumn())->toBe($before + 1);
    $this->shop->end($process);
});
