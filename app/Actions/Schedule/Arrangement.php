<?php

namespace App\Actions\Schedule;

use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\PlannedStep;

/**
 * How a plan stood, packed: where each step was, and the pins. A plan is brought back by keeping these sequences over
 * the facts of the day.
 */
final class Arrangement
{
    /**
     * @param  array<int, PlannedStep>  $steps
     * @param  array<int, array{int, Pin}>  $pins
     */
    public static function pack(array $steps, array $pins): string
    {
        return (string) gzcompress(
            (string) json_encode(
                [
                    array_map(
                        static fn (PlannedStep $at): array => [$at->start, $at->end, $at->machine, $at->workCentre],
                        $steps,
                    ),
                    array_map(static fn (array $pin): array => [$pin[0], $pin[1]->start, $pin[1]->machine], $pins),
                ],
                JSON_FORCE_OBJECT,
            ),
            1,
        );
    }

    /** @return array{array<int, PlannedStep>, array<int, array{int, Pin}>} */
    public static function unpack(string $packed): array
    {
        [$steps, $pins] = array_values((array) json_decode((string) gzuncompress($packed), true));

        return [
            array_map(static fn (array $at): PlannedStep => new PlannedStep($at[0], $at[1], $at[2], $at[3]), $steps),
            array_map(static fn (array $pin): array => [$pin[0], new Pin($pin[1], $pin[2])], $pins),
        ];
    }
}
