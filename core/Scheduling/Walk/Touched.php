<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Windows;

/** Which hours of something operations share a move has touched, by stretches of some hours. */
final class Touched
{
    private const BITS = 9;

    /** @var array<int, int> by stretch: the last move that touched it */
    private array $by = [];

    public function clear(): void
    {
        $this->by = [];
    }

    public function touch(int $from, int $to, int $move): void
    {
        for ($b = $from >> self::BITS, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
            $this->by[$b] = $move;
        }
    }

    public function isTouched(int $from, int $to, int $move): bool
    {
        if ($to >= Windows::NEVER) {
            return true; // what found no place has looked everywhere
        }
        for ($b = $from >> self::BITS, $last = ($to - 1) >> self::BITS; $b <= $last; $b++) {
            if (($this->by[$b] ?? -1) === $move) {
                return true;
            }
        }

        return false;
    }
}
