<?php

namespace Tests\Support;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** bin/start as a person runs it, with a folder of variables and a port of its own. Ended by pid. */
final class StartedShop
{
    /** The first person, who is asked for once. */
    public const FIRST = ['--name', 'Ada Quarry', '--login', 'ada', '--password', 'seven slow kettles'];

    private const ROOT = __DIR__.'/../..';

    public readonly string $var;

    public readonly int $port;

    public function __construct()
    {
        $this->var = (getenv('PACE_TEST_HOME') ?: sys_get_temp_dir()).'/keep-pace-start-'.bin2hex(random_bytes(5));
        mkdir("{$this->var}/fake", 0700, true);
        foreach (glob(self::ROOT.'/var/stamp-*') ?: [] as $stamp) {
            copy($stamp, $this->var.'/'.basename($stamp));
        }
        $this->port = Ports::free();
    }

    /**
     * @param  list<string>  $options
     * @param  array<string, string>  $fakes  shell scripts that stand in for programs of the machine
     */
    public function start(array $options, array $fakes = []): Process
    {
        foreach ($fakes as $name => $script) {
            file_put_contents("{$this->var}/fake/{$name}", "#!/bin/bash\n{$script}\n");
            chmod("{$this->var}/fake/{$name}", 0755);
        }

        return $this->bash(['bin/start', '--port', (string) $this->port, '--empty', ...$options]);
    }

    /**
     * Runs until it serves; ends by itself when the test is over.
     *
     * @param  list<string>  $options
     */
    public function serve(array $options = self::FIRST): Process
    {
        $process = $this->start($options);
        $process->start();
        try {
            $process->waitUntil(
                fn ($type, $output): bool => str_contains($output, 'Ctrl-C') || str_contains($output, 'cannot start'),
            );
        } catch (ProcessTimedOutException $late) {
            throw new \RuntimeException($late->getMessage().$this->whereItStands($process), previous: $late);
        }
        expect($process->getOutput())->toContain('Ctrl-C', $process->getErrorOutput());

        return $process;
    }

    public function end(Process $process): void
    {
        $process->signal(SIGTERM);
        $process->wait();
        // a slow disk takes its time to close the database
        for ($i = 0; $i < 400 && (Ports::answers($this->port) || $this->left() !== []); $i++) {
            usleep(50_000);
        }
        expect(Ports::answers($this->port))->toBeFalse('the web server still answers')->and($this->left())->toBe([]);
    }

    /** What it said, what it runs and the ends of its logs: all there is to tell why it does not come. */
    private function whereItStands(Process $process): string
    {
        $logs = '';
        foreach (glob("{$this->var}/{*.log,*/*.log,storage/logs/*.log}", GLOB_BRACE) ?: [] as $log) {
            $logs .= "\n{$log}:\n".substr((string) file_get_contents($log), -1500);
        }

        return "\n{$process->getOutput()}{$process->getErrorOutput()}\n".implode("\n", $this->left()).$logs;
    }

    /** @return list<string> commands that still know of this folder */
    public function left(): array
    {
        exec('ps -ww -eo args', $running);
        $isOurs = fn (string $line): bool => str_contains($line, $this->var) && ! str_contains($line, 'ps -eo');

        return array_values(array_filter($running, $isOurs));
    }

    /** @return list<int> processes whose command holds a text, those below this folder of variables only */
    public function processes(string $text): array
    {
        exec('ps -ww -eo pid,stat,args', $running);
        $found = [];
        foreach ($running as $line) {
            [$pid, $state, $args] = preg_split('/\s+/', trim($line), 3) ?: ['0', 'Z', ''];
            if ($state[0] === 'Z' || ! str_contains($args, $text)) {
                continue;
            }
            if (
                str_contains($args, $this->var)
                || str_contains((string) @file_get_contents("/proc/{$pid}/environ"), $this->var)
            ) {
                $found[] = (int) $pid;
            }
        }

        return $found;
    }

    /** @return array<string, string> what is there while it runs: where its database answers */
    public function running(): array
    {
        return parse_ini_file("{$this->var}/running", false, INI_SCANNER_RAW) ?: [];
    }

    public function sql(string $statement): string
    {
        $script = '. bin/lib.sh; trap \'end "$DB_PID"\' EXIT; db_up db "$(ports_of 23070)"; sql "$1" -N';

        return trim($this->bash(['-c', $script, '-', $statement])->mustRun()->getOutput());
    }

    public function restore(string $dump): Process
    {
        return $this->bash(['bin/restore', $dump]);
    }

    /** A test that broke off leaves nothing running either. */
    public function gone(): void
    {
        foreach ($this->processes('') as $pid) {
            posix_kill($pid, SIGKILL);
        }
        (new Process(['rm', '-rf', $this->var]))->run();
    }

    /** @param  list<string>  $command */
    private function bash(array $command): Process
    {
        $isUnset = [
            'DB_PORT',
            'DB_DATABASE',
            'DB_PASSWORD_FILE',
            'DB_SOCKET',
            'QUEUE_CONNECTION',
            'CACHE_STORE',
            'PACE_PROGRESS_CONNECTION',
        ];
        $environment = [
            'PACE_VAR' => $this->var,
            'PATH' => "{$this->var}/fake:".getenv('PATH'),
            'APP_ENV' => 'production',
            ...array_fill_keys($isUnset, false),
        ];

        return new Process(['bash', ...$command], self::ROOT, $environment, null, 240);
    }
}
