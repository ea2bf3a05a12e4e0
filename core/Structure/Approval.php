<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** Whether a draft is whole: what is approved is what orders are made by, so nothing of it may be missing. */
final class Approval
{
    /**
     * @param  list<LineToApprove>  $lines
     * @param  list<int>  $steps  of the routing in force from then on
     * @return list<string> a sentence for each hole
     */
    public static function holesOfStructure(array $lines, array $steps): array
    {
        $holes = $lines === [] ? ['It has no line yet.'] : [];
        foreach ($lines as $line) {
            $at = "Position {$line->position}";
            if ($line->isRetired) {
                $holes[] = "{$at}: {$line->component} is retired. Take another item, or bring it back.";
            } elseif (! $line->canBeHad) {
                $holes[] = "{$at}: {$line->component} is made here, and no structure or routing of it is approved yet.";
            }
            if ($line->step !== null && ! in_array($line->step, $steps, true)) {
                $holes[] = "{$at} is used at step {$line->step}, "
                    .($steps === []
                        ? 'and no routing is approved. Approve the routing first.'
                        : 'which the routing does not have. It has '.implode(', ', $steps).'.');
            }
        }

        return $holes;
    }

    /**
     * @param  list<int>  $steps  their numbers
     * @param  array<int, int>  $usedAt  step by position of the structure in force from then on
     * @return list<string> a sentence for each hole
     */
    public static function holesOfRouting(array $steps, array $usedAt): array
    {
        $holes = $steps === [] ? ['It has no step yet.'] : [];
        foreach ($steps === [] ? [] : $usedAt as $position => $step) {
            if (! in_array($step, $steps, true)) {
                $holes[] = "Position {$position} of the structure is used at step {$step}, which this routing does not "
                    .'have. Keep the step, or change the structure first.';
            }
        }

        return $holes;
    }
}
