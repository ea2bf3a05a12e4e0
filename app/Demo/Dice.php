<?php

namespace App\Demo;

/** The story's chances: the same every time for one seed. */
final class Dice
{
    private readonly \Random\Randomizer $random;

    private int $tokens = 0;

    public function __construct(int $seed)
    {
        $this->random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
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
