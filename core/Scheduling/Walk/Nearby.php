<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Net;

/**
 * An operation before one that stands ahead of it, that one behind it, or both, with what must go along in between
 * (insertions of Balas and Vazacopoulos, Management Science 44 (1998)).
 */
final class Nearby
{
    private const TO_THE_FRONT = 0;

    private const TO_THE_END = 1;

    private int $stamp = 0;

    /** @var array<int, int> by operation: an even stamp = to the front, an odd one = to the end */
    private array $mark;

    public function __construct(private readonly Net $net)
    {
        $this->mark = array_fill(0, $net->count, 0);
    }

    /**
     * @param  int  $u  stands ahead of $v
     * @param  int  $kind  0 = v to the front of the stretch, 1 = u to its end, 2 = both
     * @return Stretch|null null = one of them needs the other
     */
    public function swap(Line $line, int $u, int $v, int $kind): ?Stretch
    {
        $from = $line->pos[$u];
        $to = $line->pos[$v];
        $this->stamp += 2;
        $stamp = $this->stamp;
        if ($kind !== self::TO_THE_END && ! $this->marksWhatItNeeds($line->at, $from, $to)) {
            return null;
        }
        if ($kind !== self::TO_THE_FRONT && ! $this->marksWhatNeedsIt($line->at, $from, $to)) {
            return null;
        }
        $first = $middle = $last = [];
        [$at, $mark] = [$line->at, $this->mark];
        for ($p = $from; $p <= $to; $p++) {
            $x = $at[$p];
            if ($mark[$x] < $stamp) {
                $middle[] = $x;
            } elseif ($mark[$x] === $stamp) {
                $first[] = $x;
            } else {
                $last[] = $x;
            }
        }

        return new Stretch($from, [...$first, ...$middle, ...$last], [...$first, ...$last]);
    }

    /**
     * What stands last with all that it waits for, which may not be what stands first.
     *
     * @param  array<int, int>  $at
     */
    private function marksWhatItNeeds(array $at, int $from, int $to): bool
    {
        [$stamp, $after] = [$this->stamp, $this->net->after];
        $this->mark[$at[$to]] = $stamp;
        for ($p = $to - 1; $p >= $from; $p--) {
            $x = $at[$p];
            foreach ($after[$x] as $y) {
                if ($this->mark[$y] === $stamp) {
                    $this->mark[$x] = $stamp;
                    break;
                }
            }
        }

        return $this->mark[$at[$from]] !== $stamp;
    }

    /**
     * What stands first with all that waits for it, which may not be what stands last.
     *
     * @param  array<int, int>  $at
     */
    private function marksWhatNeedsIt(array $at, int $from, int $to): bool
    {
        [$stamp, $before] = [$this->stamp + 1, $this->net->before];
        $this->mark[$at[$from]] = $stamp;
        for ($p = $from + 1; $p <= $to; $p++) {
            $x = $at[$p];
            foreach ($before[$x] as $y) {
                if ($this->mark[$y] === $stamp) {
                    $this->mark[$x] = $stamp;
                    break;
                }
            }
        }

        return $this->mark[$at[$to]] !== $stamp;
    }
}
