<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Windows;

/** What is pinned on machines, for others that have to go around it. Minutes from now. */
final class Pins
{
    public function __construct(private readonly Facts $facts)
    {
    }

    /**
     * An operation in front of what is pinned on a machine if it is through by then, else behind it.
     *
     * @param  int  $c  its work centre
     * @param  int  $q  the machine
     * @param  int  $family  that one is set up for; -1 = nobody knows
     * @param  array{int, int, int}  $takes  minutes it takes, how many of them may be ahead of its material, how many
     *     are setup
     * @param  array{int, int}|null  $lastPart  when the last part comes of a step that passes on its first, and how
     *     long that one takes
     * @param  array{int, int, int}  $begins  when the machine is free, minutes of changeover, when it could begin
     * @return array{int, int, int} likewise
     */
    public function goAround(
        int $x,
        int $c,
        int $q,
        int $family,
        array $takes,
        int $ready,
        ?array $lastPart,
        array $begins,
    ): array {
        $shop = $this->facts->shop;
        [$free, $change, $start] = $begins;
        $open = $shop->calendars[$shop->calendarOf[$c][$q]];
        foreach ($shop->kept[$c][$q] as $n => [$pinStart, $pinEnd, $pinFamily]) {
            if ($pinEnd <= $free) {
                continue;
            }
            $leaves = $shop->family[$x] < 0 ? $family : $shop->family[$x];
            if (
                $pinStart > $start && self::end($open, $start, $change, $takes, $lastPart) <= $pinStart
                && $shop->leavesSetup($c, $q, $n, $leaves)
            ) {
                break;
            }
            $free = $pinEnd;
            if ($shop->between[$c] !== null && $pinFamily >= 0) {
                // what is pinned there leaves another family behind
                $family = $pinFamily;
                $change = $shop->isChanged[$x] ? $shop->between[$c][$family][$shop->family[$x]] : 0;
                $ahead = $shop->mayBeAhead[$x] ? $takes[1] + $change : 0;
                $start = $ahead > 0 ? max(0, $open->startFor($ready, $ahead)) : $ready;
            }
            $start = max($start, $free);
        }

        return [$free, $change, $start];
    }

    /**
     * @param  array{int, int, int}  $takes
     * @param  array{int, int}|null  $lastPart
     */
    private static function end(Windows $open, int $start, int $change, array $takes, ?array $lastPart): int
    {
        $work = $takes[0] + $change;
        $start = $open->nextOpen($start);
        $end = $open->finish($start, $work);
        $least = $lastPart === null ? 0 : $open->finish($lastPart[0], $lastPart[1]);

        return $open->endingNotBefore($least, $start, $end, $takes[2] + $change, $work)[1];
    }
}
