<?php

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** A MariaDB of its own, started as bin/start does, that a test may kill. Ended by pid. */
final class OwnDatabase
{
    public string $port = '';

    private readonly string $var;

    public readonly string $passwordFile;

    private ?Process $server = null;

    public function __construct()
    {
        $this->var = sys_get_temp_dir().'/keep-pace-database-'.bin2hex(random_bytes(5));
        mkdir($this->var, 0700);
        $this->passwordFile = "{$this->var}/db.password";
        $this->start((string) Ports::free());
    }

    /** As a power cut would: nothing is written any more. */
    public function kill(): void
    {
        posix_kill((int) file_get_contents("{$this->var}/db/mariadbd.pid"), SIGKILL);
        $this->server?->wait();
    }

    public function startAgain(): void
    {
        $this->start($this->port);
    }

    public function end(): void
    {
        $this->server?->stop(10);
        (new Process(['rm', '-rf', $this->var]))->run();
    }

    private function start(string $port): void
    {
        // what is committed is on the disk: the usual settings, not those of the other tests
        $script = '. bin/lib.sh; trap \'end "$DB_PID"\' EXIT; trap "exit 143" TERM; db_up db '
            .$port
            .'; echo "port $DB_PORT"; wait "$DB_PID"';
        $this->server = new Process(
            ['bash', '-c', $script],
            dirname(__DIR__, 2),
            ['PACE_VAR' => $this->var, 'DB_PORT' => false, 'DB_SOCKET' => false, 'DB_PASSWORD_FILE' => false],
            null,
            null,
        );
        $this->server->start();
        $this->server->waitUntil(fn ($type, $output): bool => str_contains($output, 'port '));
        preg_match('/port (\d+)/', $this->server->getOutput(), $found);
        $this->port = $found[1] ?? throw new \RuntimeException($this->server->getErrorOutput());
    }
}
