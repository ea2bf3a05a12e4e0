<?php

namespace App\Queries\Board;

use App\Shop\StandingPlan;
use App\Wording\When;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\Drop;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\Put;
use KeepPace\Core\Scheduling\PlannedStep;

/** What putting a step somewhere would do, before it is kept. */
final class MovePreview
{
    /** @return array<string, mixed> */
    public static function of(int $planId, Put $put): array
    {
        $standing = StandingPlan::of($planId);
        $problem = $standing->problem();
        $drop = Drop::of($problem, $put);
        $why = $drop === null ? 'That step is done, or its order is held.' : $drop->impossible();
        if ($drop === null || $why !== null) {
            return ['can' => false, 'says' => [$why]];
        }
        $before = $standing->schedule();
        $after = KeptSequence::moved($problem, $before->steps, $put);
        $lands = $after->steps[$put->step] ?? null;
        if ($lands === null) {
            return ['can' => false, 'says' => ['It would find no open time there.']];
        }
        $against = $drop->against($before->steps);
        $comparison = Comparison::between($problem, $before, $after);

        return [
            'can' => true,
            'pin' => $against === [],
            'against' => $against,
            'lands' => [$lands->start, $lands->end],
            'put' => $put->minute,
            'where' => $problem->workCentres[$put->workCentre]->name
                .($problem->workCentres[$put->workCentre]->machines > 1 ? " {$put->machine}" : ''),
            'says' => [When::span($lands->start, $lands->end)],
            'pinSays' => When::say($put->minute),
            'effect' => EffectWords::of($comparison),
            'moved' => array_map(fn (int $id): array => self::row($id, $after->steps[$id]), $comparison->moved),
        ];
    }

    /** @return array{int, int, int, int, int, int} as in the board's bars */
    private static function row(int $id, PlannedStep $at): array
    {
        return [$id, $at->workCentre ?? 0, $at->machine ?? 0, $at->start, $at->runStart ?? $at->start, $at->end];
    }
}
