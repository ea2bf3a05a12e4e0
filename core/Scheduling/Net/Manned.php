<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Person;

/**
 * Machines as people can stand at them, where each step takes as many: the first is open while enough for one are
 * there, the second while enough for two, and so on. Exact while the same people are there whenever the machines are
 * open; else a step stands still that would in truth be handed over, so it is never more than there are people for.
 */
final class Manned
{
    /**
     * @param  int  $each  persons a step takes
     * @return list<Windows> by machine; those nobody can ever stand at are left out
     */
    public static function of(Windows $open, Crew $crew, int $each, int $machines, int $origin): array
    {
        $there = self::there($crew, $origin);
        $manned = [];
        for ($machine = 1; $machine <= $machines; $machine++) {
            $own = $open->within(self::spans($there, $machine * $each));
            if ($own->last === 0) {
                break;
            }
            $manned[] = $own->start === $open->start && $own->end === $open->end ? $open : $own;
        }

        return $manned;
    }

    /** @return array<int, int> how many are there, from each minute on at which somebody comes or goes */
    private static function there(Crew $crew, int $origin): array
    {
        $change = [0 => 0];
        $windows = array_map(
            static fn (Person $person): Windows => Windows::of($person->present, $origin),
            $crew->persons,
        );
        foreach ($windows as $own) {
            for ($i = 0; $i < $own->last; $i++) {
                $change[$own->start[$i]] = ($change[$own->start[$i]] ?? 0) + 1;
                $change[$own->end[$i]] = ($change[$own->end[$i]] ?? 0) - 1;
            }
        }
        ksort($change);
        $there = [];
        $sum = 0;
        foreach ($change as $minute => $more) {
            $there[$minute] = $sum += $more;
        }

        return $there;
    }

    /**
     * @param  array<int, int>  $there
     * @return list<array{int, int}>
     */
    private static function spans(array $there, int $number): array
    {
        $spans = [];
        $from = null;
        foreach ($there as $minute => $count) {
            if ($count >= $number) {
                $from ??= $minute;
            } elseif ($from !== null) {
                $spans[] = [$from, $minute];
                $from = null;
            }
        }

        return $from === null ? $spans : [...$spans, [$from, Windows::NEVER]];
    }
}
