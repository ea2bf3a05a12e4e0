<?php

namespace App\Shop;

use KeepPace\Core\Scheduling\Why\Cause;

/** All the time an order waits for one cause at one place, and whom it waits for. */
final class Waited
{
    private int $minutes = 0;

    /** @var array<string, int> minutes by number of the order that is in the way */
    private array $by = [];

    /** @param  string  $part  number of the order of a part it needs; '' = the order itself */
    public function __construct(
        public readonly Cause $cause,
        public readonly string $where,
        public readonly string $part,
    ) {
    }

    public function add(int $minutes, ?string $by): void
    {
        $this->minutes += $minutes;
        if ($by !== null) {
            $this->by[$by] = ($this->by[$by] ?? 0) + $minutes;
        }
    }

    public function minutes(): int
    {
        return $this->minutes;
    }

    /** @return list<string> numbers of orders in the way, the one it waits for longest first */
    public function by(): array
    {
        arsort($this->by);

        return array_map(strval(...), array_keys($this->by));
    }
}
