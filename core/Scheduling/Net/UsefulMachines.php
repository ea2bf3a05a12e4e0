<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\PlannedStep;

/**
 * The first machines of a work centre there is any use for: where each step needs somebody all the time it runs, no
 * more than the crew can stand at; else each would be tried in vain at every minute somebody comes or goes. Machines of
 * their own hours count as useful.
 */
final class UsefulMachines
{
    /**
     * @param  int  $c  the work centre's number in the net
     * @param  array<int, PlannedStep>  $was  by step id: the machine a step keeps
     */
    public static function of(Net $net, int $c, array $was = []): int
    {
        $centre = $net->problem->workCentres[$net->centreKey[$c]];
        $manned = self::manned($net, $c, $was);
        $number = 0;
        for ($alike = 0; $number < $centre->machines && $alike < $manned; $number++) {
            $alike += isset($centre->ownOpen[$number + 1]) ? 0 : 1;
        }

        return $number;
    }

    /**
     * How many alike machines people can stand at.
     *
     * @param  array<int, PlannedStep>  $was
     */
    private static function manned(Net $net, int $c, array $was): int
    {
        $heads = [];
        foreach ($net->problem->crews as $key => $crew) {
            $heads[$key] = count($crew->persons);
        }
        if ($heads === [] || $net->problem->workCentres[$net->centreKey[$c]]->machines <= min($heads)) {
            return PHP_INT_MAX;
        }
        $most = 0;
        $crew = null;
        foreach ($net->step as $x => $step) {
            foreach ($net->ways[$x] as $way) {
                if ($way->centre !== $c) {
                    continue;
                }
                $need = $way->crewing;
                if (
                    $need === null
                    || $need->run < 1
                    || ! isset($heads[$need->crew])
                    || $need->crew !== ($crew ?? $need->crew)
                ) {
                    return PHP_INT_MAX;
                }
                $crew = $need->crew;
                $most = max($most, intdiv($heads[$crew], $need->run));
            }
            $most = max($most, $was[$step->id]->machine ?? 0, $step->pin->machine ?? 0);
        }

        return max(1, $most);
    }
}
