<?php

namespace App\Queries\Flow;

use App\Wording\Figures;

/** Where a time and an amount stand in a drawing of a balance. */
final readonly class FlowScale
{
    private const LEFT = 56;

    private const RIGHT = 1040;

    private const TOP = 14;

    private const BOTTOM = 148;

    /**
     * @param  int  $from  UTC minute at the left
     * @param  int  $to  UTC minute at the right
     */
    public function __construct(private int $from, private int $to, private float $least, private float $most)
    {
    }

    public function x(int $at): float
    {
        $share = ($at - $this->from) / max(1, $this->to - $this->from);

        return round(self::LEFT + $share * (self::RIGHT - self::LEFT), 1);
    }

    public function y(float $amount): float
    {
        $range = max(1e-9, $this->most - $this->least);

        return round(self::BOTTOM - ($amount - $this->least) / $range * (self::BOTTOM - self::TOP), 1);
    }

    /**
     * Points of a line that stays where it is until something comes or goes.
     *
     * @param  list<array{int, float}>  $points  time and amount after it
     * @param  int|null  $until  as far as the last amount stands; null = to the right edge
     */
    public function steps(array $points, ?int $until): string
    {
        $drawn = [];
        $last = null;
        foreach ($points as [$at, $amount]) {
            if ($last !== null) {
                $drawn[] = "{$this->x($at)},{$this->y($last)}";
            }
            $drawn[] = "{$this->x($at)},{$this->y($amount)}";
            $last = $amount;
        }
        if ($last !== null) {
            $drawn[] = "{$this->x($until ?? $this->to)},{$this->y($last)}";
        }

        return implode(' ', $drawn);
    }

    /** @return list<int> so many times from left to right */
    public function times(int $count): array
    {
        return array_map(
            fn (int $i): int => $this->from + intdiv(($this->to - $this->from) * $i, max(1, $count - 1)),
            range(0, $count - 1),
        );
    }

    /** @return list<array{float, string}> how high nothing, the least and the most stand, and what they are */
    public function levels(): array
    {
        $levels = array_unique([$this->least, 0.0, $this->most]);

        return array_values(array_map(
            fn (float $level): array => [$this->y($level), Figures::amount((string) round($level, 3))],
            $levels,
        ));
    }
}
