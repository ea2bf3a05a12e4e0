<?php

use Tests\Support\Ports;
use Tests\Support\StartedShop;

/* bin/start as a person runs it: what it says when it cannot, and whom it asks for first. */

beforeEach(function () {
    $this->shop = new StartedShop;
});

afterEach(fn () => $this->shop->gone());

it('says plainly why it cannot start, and leaves nothing running', function (
    array $options,
    array $fakes,
    string $says,
) {
    $process = $this->shop->start($options, $fakes);
    $process->run();
    expect($process->getExitCode())->not->toBe(0)
        ->and($process->getErrorOutput().$process->getOutput())->toContain($says)
        ->and(Ports::answers($this->shop->port))->toBeFalse()
        ->and($this->shop->left())->toBe([]);
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
    $taken = stream_socket_server("tcp://127.0.0.1:{$this->shop->port}");
    $process = $this->shop->start([]);
    $process->run();
    fclose($taken);
    expect($process->getExitCode())->toBe(1)
        ->and($process->getErrorOutput())
        ->toContain("port {$this->shop->port} is taken")
        ->toContain('--port '.($this->shop->port + 1));
});

it('asks for the first person, and takes none with a password anybody guesses', function (
    array $options,
    string $says,
) {
    $process = $this->shop->start($options);
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
