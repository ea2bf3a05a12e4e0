<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/**
 * Minutes from one setup family to the next on a machine; they need be neither symmetric nor keep the triangle rule.
 */
final readonly class Changeovers
{
    /**
     * @param  array<array-key, array<array-key, int>>  $minutes  by family before, then family after
     * @param  int  $other  between two families the table does not name
     */
    public function __construct(public array $minutes, public int $other = 0)
    {
    }

    /** Nothing is changed over for a step without a family, nor on a machine whose family nobody knows. */
    public function between(?string $before, ?string $after): int
    {
        return $before === null || $after === null
            ? 0
            : $this->minutes[$before][$after] ?? ($before === $after ? 0 : $this->other);
    }

    /** The longest to a family, whatever stands before. */
    public function longestTo(?string $after): int
    {
        $longest = $after === null ? 0 : $this->other;
        foreach ($after === null ? [] : $this->minutes as $to) {
            $longest = max($longest, $to[$after] ?? 0);
        }

        return $longest;
    }
}
