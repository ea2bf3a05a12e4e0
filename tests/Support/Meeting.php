<?php

namespace Tests\Support;

use Symfony\Component\Process\Process;

/**
 * Two deeds that meet at a stated point: the first stands still after a statement until the second is done with its
 * deed, or waits for a lock of the first.
 */
final class Meeting
{
    private const STANDS_STILL = <<<'PHP'
        $seen = 0;
        DB::listen(function ($query) use (&$seen, $at, $statement, $nth) {
            if (! str_contains($query->sql, $statement) || ++$seen !== $nth) {
                return;
            }
            touch("{$at}.there");
            for ($i = 0; $i < 400 && ! file_exists("{$at}.go"); $i++) {
                usleep(10_000);
            }
        });

        PHP;

    private readonly string $at;

    public function __construct(private readonly LiveShop $shop)
    {
        $this->at = sys_get_temp_dir().'/keep-pace-meeting-'.bin2hex(random_bytes(6));
    }

    /**
     * @param  string  $statement  part of the SQL after which the first stands still
     * @param  int  $nth  of such statements, from 1
     * @param  string  $second  finds "{$at}.go" there when its time is over
     * @param  float  $patience  seconds the second is given
     * @return array{string, string} what the two printed
     */
    public function of(string $first, string $statement, int $nth, string $second, float $patience = 1.5): array
    {
        $one = $this->shop->php(
            self::STANDS_STILL.$first,
            ['at' => $this->at, 'statement' => $statement, 'nth' => $nth],
        );
        for ($i = 0; $i < 800 && ! file_exists("{$this->at}.there") && $one->isRunning(); $i++) {
            usleep(10_000);
        }
        $came = file_exists("{$this->at}.there");
        $two = $this->shop->php($second, ['at' => $this->at]);
        for ($i = 0; $i < $patience * 100 && $two->isRunning(); $i++) {
            usleep(10_000);
        }
        touch("{$this->at}.go");
        $said = array_map(self::printed(...), [$one, $two]);
        array_map(unlink(...), glob("{$this->at}.*") ?: []);

        return $came
            ? $said
            : throw new \RuntimeException("The first never came to '{$statement}' ({$nth}): {$said[0]}");
    }

    private static function printed(Process $process): string
    {
        $process->wait();

        return trim($process->getOutput().$process->getErrorOutput());
    }
}
