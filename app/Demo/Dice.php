<?php

namespace App\Demo;

/**
 * The story's chances. Each day has its own, so a day on which the shop is closed changes nothing of the days after
 * it.
 */
final class Dice
{
    private \Random\Randomizer $random;

    private int $tokens = 0;

    public function __construct(private readonly int $seed)
    {
        $this->day(0);
    }

    public function day(int $number): void
    {
        $this->random = new \Random\Randomizer(new \Random\Engine\Mt19937(crc32("{$this->seed}/{$number}")));
    }

    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    public function between(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    public function token(): string
    {
        return 'story-'.(++$this->tokens);
    }
}
