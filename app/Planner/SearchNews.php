<?php

namespace App\Planner;

/** How far a search is. */
final readonly class SearchNews
{
    /**
     * @param  int  $cost  the least so far: weighted open minutes late, and what moved steps count
     * @param  array<int, int>  $late  open minutes late by order in the best plan kept so far, only those late
     */
    public function __construct(public int $cost, public int $iterations, public array $late)
    {
    }

    public function line(): string
    {
        return json_encode([$this->cost, $this->iterations, (object) $this->late], JSON_THROW_ON_ERROR);
    }

    /** @return self|null null where it is no line of news */
    public static function read(string $line): ?self
    {
        $told = json_decode($line, true);
        [$cost, $iterations, $late] = array_pad(is_array($told) ? array_values($told) : [], 3, null);

        return is_int($cost) && is_int($iterations) && is_array($late)
            ? new self($cost, $iterations, array_filter($late, is_int(...)))
            : null;
    }
}
