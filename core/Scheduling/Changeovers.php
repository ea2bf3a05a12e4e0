<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/**
 * Minutes from one setup family to the next on a machine; they need be neither symmetric nor keep the triangle rule.
 * A run of several orders stands as a family of its own: whatever was there before, it is set up once.
 */
final readonly class Changeovers
{
    /** What a step without a family leaves behind where runs are shared: nothing is known of it. */
    public const NOTHING = '';

    /**
     * @param  array<array-key, array<array-key, int>>  $minutes  by family before, then family after
     * @param  int  $other  between two families the table does not name
     * @param  array<string, SharedRun>  $runs  by key
     */
    public function __construct(public array $minutes, public int $other = 0, public array $runs = [])
    {
    }

    /** Nothing is changed over for a step without a family, nor on a machine whose family nobody knows. */
    public function between(?string $before, ?string $after): int
    {
        if ($before === $after) {
            return $after === null || isset($this->runs[$after]) ? 0 : $this->minutes[$after][$after] ?? 0;
        }
        $setup = $after === null ? 0 : $this->runs[$after]->setup ?? 0;
        [$from, $to] = [$this->family($before), $this->family($after)];

        return $setup + ($from === null || $to === null
            ? 0
            : $this->minutes[$from][$to] ?? ($from === $to ? 0 : $this->other));
    }

    /** The longest to a family, whatever stands before. */
    public function longestTo(?string $after): int
    {
        $setup = $after === null ? 0 : $this->runs[$after]->setup ?? 0;
        $family = $this->family($after);
        $longest = $family === null ? 0 : $this->other;
        foreach ($family === null ? [] : $this->minutes as $to) {
            $longest = max($longest, $to[$family] ?? 0);
        }

        return $setup + $longest;
    }

    /** The family of what runs together is that of its steps. */
    private function family(?string $key): ?string
    {
        $family = $key !== null && isset($this->runs[$key]) ? $this->runs[$key]->family : $key;

        return $family === self::NOTHING ? null : $family;
    }
}
