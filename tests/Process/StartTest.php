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
    $this->port = random_int(41000, 49000);
});

afterEach(fn () => (new Process(['rm', '-rf', $this->var]))->run());

/** @param  array<string, string>  $fakes  shell scripts that stand in for programs of the machine */
function start(object $test, array $options, array $fakes = []): Process
{
    foreach ($fakes as $name => $script) {
        file_put_contents("{$test->var}/fake/{$name}", "#!/bin/bash\n{$script}\n");
        chmod("{$test->var}/fake/{$name}", 0755);
    }
    $environment = ['PACE_VAR' => $test->var, 'PATH' => "{$test->var}/fake:".getenv('PATH'), 'APP_ENV' => 'production', 'DB_PORT' => false,
        'DB_DATABASE' => false, 'QUEUE_CONNECTION' => false, 'CACHE_STORE' => false, 'PACE_PROGRESS_CONNECTION' => false];

    return new Process(['bash', 'bin/start', '--port', (string) $test->port, '--empty', ...$options], dirname(__DIR__, 2), $environment,
        null, 120);
}

it('says plainly why it cannot start, and leaves nothing running', function (array $options, array $fakes, string $says) {
    $process = start($this, $options, $fakes);
    $process->run();
    expect($process->getExitCode())->not->toBe(0)->and($process->getErrorOutput().$process->getOutput())->toContain($says)
        ->and(Ports::answers($this->port))->toBeFalse();
    exec('ps -eo args', $running);
    expect(array_filter($running, fn (string $line): bool => str_contains($line, $this->var) && ! str_contains($line, 'ps -eo')))->toBe([]);
})->with([
    'no port' => [['--port', 'eighty'], [], "a port is a number from 1 to 65535, not 'eighty'"],
    'an option nobody knows' => [['--frsh'], [], 'bin/start [--port N]'],
    'a full disk' => [[], ['df' => 'printf "Filesystem 1048576-blocks Used Available Capacity Mounted\n/dev/x 100 90 12 90%% /\n"'],
        'only 12 MB are free on this disk'],
    'a package that cannot be installed' => [[],
        ['php' => '[ "$1" = -m ] && exit 0; exec /usr/bin/php "$@"', 'apt-get' => 'echo "E: Unable to fetch some archives" >&2; exit 100',
            'sleep' => 'exit 0'], // it asks five times, with two minutes of pauses
        'these Debian packages could not be installed: php8.2-mysql'],
    'MariaDB that ends at once' => [[],
        ['mariadb-install-db' => 'for a in "$@"; do case $a in --datadir=*) mkdir -p "${a#*=}";; esac; done', 'mariadbd' => 'exit 1'],
        'MariaDB ended at once'],
    'a data folder that cannot be made' => [[], ['mariadb-install-db' => 'exit 1'], 'the data folder of MariaDB could not be made'],
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
    foreach (['first', 'again'] as $time) {
        $process = start($this, []);
        $process->start();
        $process->waitUntil(fn ($type, $output): bool => str_contains($output, 'Ctrl-C'));
        expect(file_get_contents("http://127.0.0.1:{$this->port}/login"))->toContain('Keep Pace');
        $process->signal(SIGTERM);
        $process->wait();
        for ($i = 0; $i < 100 && Ports::answers($this->port); $i++) {
            usleep(50_000);
        }
        expect(Ports::answers($this->port))->toBeFalse("{$time}: the web server still answers");
        exec('ps -eo args', $running);
        expect(array_filter($running, fn (string $line): bool => str_contains($line, $this->var)))->toBe([]);
    }
});
