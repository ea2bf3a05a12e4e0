<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

/** Time across a drawing in which quiet spans are folded to a narrow band each. */
final readonly class FoldedTime
{
    /**
     * @param  list<array{int, float}>  $bends  minute, and part of the width that is left of it
     */
    private function __construct(private array $bends)
    {
    }

    /**
     * @param  int  $from  minute at the left edge
     * @param  int  $to  minute at the right edge
     * @param  list<array{int, int}>  $quiet  spans in order, as of QuietTime
     * @param  float  $fold  part of the width that each takes
     */
    public static function of(int $from, int $to, array $quiet, float $fold): self
    {
        $folds = [];
        foreach ($quiet as [$start, $end]) {
            if ($end > $from && $start < $to) {
                $folds[] = [max($from, $start), min($to, $end)];
            }
        }
        $hidden = array_sum(array_map(static fn (array $one): int => $one[1] - $one[0], $folds));
        $open = max(1, $to - $from - $hidden);
        $scale = (1.0 - min(0.9, $fold * count($folds))) / $open;
        $bends = [[$from, 0.0]];
        $x = 0.0;
        $at = $from;
        foreach ($folds as [$start, $end]) {
            $x += ($start - $at) * $scale;
            $bends[] = [$start, $x];
            $x += min($fold, 0.9 / count($folds));
            $bends[] = [$end, $x];
            $at = $end;
        }
        $bends[] = [$to, $x + ($to - $at) * $scale];

        return new self($bends);
    }

    /** Part of the width that is left of a minute: 0 at the left edge and before, 1 at the right and behind. */
    public function x(int $minute): float
    {
        foreach ($this->bends as $i => [$at, $x]) {
            if ($minute <= $at) {
                [$before, $left] = $this->bends[max(0, $i - 1)];

                return $at === $before ? $x : $left + ($x - $left) * max(0, $minute - $before) / ($at - $before);
            }
        }

        return 1.0;
    }
}
