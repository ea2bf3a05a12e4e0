<?php

use Symfony\Component\Process\Process;
use Tests\Support\Ports;

/* bin/start as a person runs it: what it says when it cannot, and that it ends what it started. */

beforeEach(function () {
    $this->var = sys_get_temp_dir().'/keep-pace-start-'.bin2hex(random_bytes(5));
    mkdir("{$this->var}/fake", 0700, true);
    foreach (glob(dirname(__DIR__, 2).'/var/stamp-*') ?: [] as $stamp) {
        copy($stamp, $this->var.'/'.basename($stamp));
    }
    $this->port = Ports::free();
});

afterEach(fn () => (new Process(['rm', '-rf', $this->var]))->run());

/** @param  array<string, string>  $fakes  shell scripts that stand in for programs of the machine */
function start(object $test, array $options, array $fakes = []): Process
{
    foreach ($fakes as $name => $script) {
        file_put_contents("{$test->var}/fake/{$name}", "#!/bin/bash\n{$script}\n");
        chmod("{$test->var}/fake/{$name}", 0755);
    }
    $environment = [
        'PACE_VAR' => $test->var,
        'PATH' => "{$test->var}/fake:".getenv('PATH'),
        'APP_ENV' => 'production',
        'DB_PORT' => false,
        'DB_DATABASE' => false,
        'DB_PASSWORD_FILE' => false,
        'DB_SOCKET' => false,
        'QUEUE_CONNECTION' => false,
        'CACHE_STORE' => false,
        'PACE_PROGRESS_CONNECTION' => false];

    return new Process(
        ['bash', 'bin/start', '--port', (string) $test->port, '--empty', ...$options],
        dirname(__DIR__, 2),
        $environment,
        null,
        120,
    );
}

const FIRST = ['--name', 'Ada Quarry', '--login', 'ada', '--password', 'seven slow kettles'];

/** Runs until it serves; ends by itself when the test is over. */
function served(object $test, array $options = FIRST): Process
{
    $process = start($test, $options);
    $process->start();
    $process->waitUntil(
        fn ($type, $output): bool => str_contains($output, 'Ctrl-C') || str_contains($output, 'cannot start'),
    );
    expect($process->getOutput())->toContain('Ctrl-C', $process->getErrorOutput());

    return $process;
}

function ended(object $test, Process $process): void
{
    $process->signal(SIGTERM);
    $process->wait();
    for ($i = 0; $i < 100 && Ports::answers($test->port); $i++) {
        usleep(50_000);
    }
    expect(Ports::answers($test->port))->toBeFalse('the web server still answers');
    exec('ps -ww -eo args', $running);
    expect(array_filter($running, fn (string $line): bool => str_contains($line, $test->var)))->toBe([]);
}

/** @return list<int> processes whose command holds a text, those below this folder of variables only */
function processes(object $test, string $text): array
{
    exec('ps -ww -eo pid,stat,args', $running);
    $found = [];
    foreach ($running as $line) {
        [$pid, $state, $args] = preg_split('/\s+/', trim($line), 3);
        if ($state[0] === 'Z' || ! str_contains($args, $text)) {
            continue;
        }
        if (
            str_contains($args, $test->var)
            || str_contains((string) file_get_contents("/proc/{$pid}/environ"), $test->var)
        ) {
            $found[] = (int) $pid;
        }
    }

    return $found;
}

it('says plainly why it cannot start, and leaves nothing running', function (
    array $options,
    array $fakes,
    string $says,
) {
    $process = start($this, $options, $fakes);
    $process->run();
    expect($process->getExitCode())->not->toBe(0)
        ->and($process->getErrorOutput().$process->getOutput())->toContain($says)
        ->and(Ports::answers($this->port))->toBeFalse();
    exec('ps -ww -eo args', $running);
    expect(
        array_filter(
            $running,
            fn (string $line): bool => str_contains($line, $this->var) && ! str_contains($line, 'ps -eo'),
        ),
    )->toBe([]);
})->with([
    'no port' => [['--port', 'eighty'], [], "a port is a number from 1 to 65535, not 'eighty'"],
    'an option nobody knows' => [['--frsh'], [], 'bin/start [--port N]'],
    'a full disk' => [
        [],
        ['df' => 'printf "Filesystem 1048576-blocks Used Available Capacity Mounted\n/dev/x 100 90 12 90%% /\n"'],
        'only 12 MB are free on this disk',
    ],
    'a package that cannot be installed' => [
        [],
        [
            'php' => '[ "$1" = -m ] && exit 0; exec /usr/bin/php "$@"',
            'apt-get' => 'echo "E: Unable to fetch some archives" >&2; exit 100',
            'sleep' => 'exit 0',
        ], // it asks five times, with two minutes of pauses
        'these Debian packages could not be installed: php8.2-mysql',
    ],
    'MariaDB that ends at once' => [
        [],
        [
            'mariadb-install-db' => 'for a in "$@"; do case $a in --datadir=*) mkdir -p "${a#*=}";; esac; done',
            'mariadbd' => 'exit 1',
        ],
        'MariaDB ended at once',
    ],
    'a data folder that cannot be made' => [
        [],
        ['mariadb-install-db' => 'exit 1'],
        'the data folder of MariaDB could not be made',
    ],
]);

it('says that a port is taken, by name', function () {
    $taken = stream_socket_server("tcp://127.0.0.1:{$this->port}");
    $process = start($this, []);
    $process->run();
    fclose($taken);
    expect($process->getExitCode())->toBe(1)->and($process->getErrorOutput())->toContain("port {$this->port} is taken")
        ->toContain('--port '.($this->port + 1));
});

it('starts, serves, starts again, and ends all it started', function () {
    foreach ([FIRST, []] as $options) { // the first person is asked for once
        $process = served($this, $options);
        expect(file_get_contents("http://127.0.0.1:{$this->port}/login"))
            ->toContain('Keep Pace')->not
            ->toContain('Demo password');
        ended($this, $process);
    }
});

it('asks for the first person, and takes none with a password anybody guesses', function (
    array $options,
    string $says,
) {
    $process = start($this, $options);
    $process->run();
    expect($process->getExitCode())->toBe(1)
        ->and($process->getOutput().$process->getErrorOutput())->toContain($says)->toContain('it needs a first person');
})->with([
    'nobody' => [[], 'A login and a name are needed'],
    'too short' => [['--name', 'Ada', '--login', 'ada', '--password', 'short'], 'at least 12 characters'],
    'one tried first' => [
        ['--name', 'Ada', '--login', 'ada', '--password', 'password1234'],
        'one of those tried first',
    ],
]);

it(
    'brings back what was killed within ten seconds, a worker of the web server too, and says when all is well',
    function () {
        $process = served($this);
        $up = fn (): string => (string) @file_get_contents(
            "http://127.0.0.1:{$this->port}/up",
            false,
            stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 2]]),
        );
        expect($up())->toContain('well database')->toContain('well clock')->toContain('well queue');
        foreach (
            [
                'bin/router.php' => 5,
                'queue:work' => 1,
                'schedule:work' => 1,
                'mariadbd --no-defaults' => 1,
            ] as $text => $count
        ) {
            $there = processes($this, $text);
            expect($there)->toHaveCount($count, $text);
            posix_kill($killed = (int) end($there), SIGKILL);
            $began = microtime(true);
            do {
                usleep(100_000);
                $now = processes($this, $text);
                $isBack =
                    count($now) === $count && ! in_array($killed, $now, true) && str_contains($up(), 'well database');
            } while (! $isBack && microtime(true) - $began < 10);
            expect($isBack)->toBeTrue("{$text} is not back after ten seconds");
        }
        ended($this, $process);
    },
);

it('runs the database and PHP as users of their own, and lets nobody in without a password', function () {
    $process = served($this);
    $owner = fn (string $text): array => array_values(array_unique(array_map(
        fn (int $pid): string => posix_getpwuid(fileowner("/proc/{$pid}"))['name'],
        processes($this, $text),
    )));
    // only root can give processes other users, and only where these can enter the folder; it is said where not
    $me = posix_getpwuid(posix_geteuid())['name'];
    $isGiven = $me === 'root' && ! str_contains($process->getOutput(), 'Nobody but root can enter this folder');
    [$db, $php] = $isGiven ? ['keep-pace-db', 'keep-pace'] : [$me, $me];
    expect($owner('mariadbd --no-defaults'))->toBe([$db])
        ->and($owner('bin/router.php'))->toBe([$php])
        ->and($owner('queue:work'))->toBe([$php])
        ->and($owner('schedule:work'))->toBe([$php]);
    expect(substr(sprintf('%o', fileperms("{$this->var}/db.password")), -3))->toBe('600')
        ->and(strlen(trim((string) file_get_contents("{$this->var}/db.password"))))->toBeGreaterThan(40);
    preg_match('/DB_PORT=(\d+)/', (string) file_get_contents("{$this->var}/running"), $port);
    foreach (['root', 'keep_pace', '', 'mariadb.sys'] as $name) {
        expect(fn () => new PDO("mysql:host=127.0.0.1;port={$port[1]}", $name, ''))->toThrow(PDOException::class);
    }
    // anybody else of the machine, by the socket
    exec('ls /run/keep-pace-*/db.sock', $sockets);
    foreach ($sockets as $socket) {
        foreach (['root', 'keep_pace', ''] as $name) {
            $try = new Process([
                'runuser',
                '-u',
                'nobody',
                '--',
                'mariadb',
                '--no-defaults',
                "--socket={$socket}",
                "--user={$name}",
                '-e',
                'SELECT 1',
            ]);
            $try->run();
            expect($try->getExitCode())->not->toBe(0, "{$name} at {$socket}");
        }
    }
    ended($this, $process);
});

it('keeps the data before it changes it, and brings it back', function () {
    $process = served($this);
    ended($this, $process);
    // as if one change of the database had not been made yet
    $sql = function (string $statement): string {
        $process = new Process(
            ['bash', '-c', '. bin/lib.sh; trap \'end "$DB_PID"\' EXIT; db_up db 33070; sql "$1" -N', '-', $statement],
            dirname(__DIR__, 2),
            ['PACE_VAR' => $this->var, 'DB_PORT' => false, 'DB_SOCKET' => false, 'DB_PASSWORD_FILE' => false],
            null,
            60,
        );

        return trim($process->mustRun()->getOutput());
    };
    foreach (['items', 'routing_steps', 'order_steps'] as $table) {
        $sql("ALTER TABLE keep_pace.{$table} RENAME COLUMN lead_time_days TO lead_days");
    }
    $sql(
        "DELETE FROM keep_pace.migrations WHERE migration LIKE '%_lead_time_days'; "
            ."UPDATE keep_pace.people SET name = 'Ada of before'",
    );
    $process = served($this, []);
    expect($process->getOutput())->toContain('Keeping the data as it is in');
    ended($this, $process);
    $dumps = glob("{$this->var}/dumps/*.sql.gz") ?: [];
    expect($dumps)->toHaveCount(1)->and(substr(sprintf('%o', fileperms($dumps[0])), -3))->toBe('600');
    $sql("UPDATE keep_pace.people SET name = 'Ada of after'");
    $restore = new Process(
        ['bash', 'bin/restore', $dumps[0]],
        dirname(__DIR__, 2),
        [
            'PACE_VAR' => $this->var,
            'DB_PORT' => false,
            'DB_SOCKET' => false,
            'DB_PASSWORD_FILE' => false,
            'DB_DATABASE' => false,
            'APP_ENV' => 'production',
        ],
        null,
        120,
    );
    $restore->mustRun();
    expect($restore->getOutput())->toContain('rules hold')->toContain('What was there is in')
        ->and($sql('SELECT name FROM keep_pace.people'))->toBe('Ada of before')
        ->and(glob("{$this->var}/dumps/*-before-restore.sql.gz"))->toHaveCount(1);
    file_put_contents("{$this->var}/half.sql.gz", substr((string) file_get_contents($dumps[0]), 0, 3000));
    $restore = new Process(
        ['bash', 'bin/restore', "{$this->var}/half.sql.gz"],
        dirname(__DIR__, 2),
        ['PACE_VAR' => $this->var],
        null,
        60,
    );
    $restore->run();
    expect($restore->getErrorOutput())->toContain('is not a whole dump')
        ->and($sql('SELECT name FROM keep_pace.people'))->toBe('Ada of before');
});
