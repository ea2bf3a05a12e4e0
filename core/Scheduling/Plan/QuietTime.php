<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\WorkCentre;

/**
 * Nights and weekends: spans in which so few machines are open that a drawing of the plan may fold them. A machine that
 * works round the clock keeps no night from being one.
 */
final class QuietTime
{
    /** Shorter spans are breaks. */
    private const LEAST = 120;

    /** Quiet is when less than one machine in so many is open. */
    private const ONE_IN = 4;

    /**
     * @param  array<int, WorkCentre>  $workCentres
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute
     * @return list<array{int, int}> spans of UTC minutes, in order
     */
    public static function of(array $workCentres, int $from, int $to): array
    {
        $machines = 0;
        $edges = [];
        foreach ($workCentres as $centre) {
            for ($machine = 1; $machine <= $centre->machines; $machine++) {
                $open = $centre->ownOpen[$machine] ?? $centre->open;
                $machines++;
                foreach ($open->starts as $i => $start) {
                    if ($open->ends[$i] > $from && $start < $to) {
                        $edges[$start] = ($edges[$start] ?? 0) + 1;
                        $edges[$open->ends[$i]] = ($edges[$open->ends[$i]] ?? 0) - 1;
                    }
                }
            }
        }
        $edges[$to] ??= 0;
        ksort($edges);

        return $machines === 0 ? [] : self::quiet($edges, $machines, $from, $to);
    }

    /**
     * @param  non-empty-array<int, int>  $edges  machines more or less, by minute
     * @return list<array{int, int}>
     */
    private static function quiet(array $edges, int $machines, int $from, int $to): array
    {
        $spans = [];
        $open = 0;
        $since = $from;
        foreach ($edges as $minute => $more) {
            if ($minute > $to) {
                break;
            }
            $wasQuiet = $open * self::ONE_IN < $machines;
            $open += $more;
            $isQuiet = $open * self::ONE_IN < $machines && $minute < $to;
            if ($wasQuiet && ! $isQuiet && $minute - $since >= self::LEAST) {
                $spans[] = [$since, $minute];
            }
            if (! $wasQuiet && $isQuiet) {
                $since = max($from, $minute);
            }
        }

        return $spans;
    }
}
