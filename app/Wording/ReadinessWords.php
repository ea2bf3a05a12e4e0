<?php

namespace App\Wording;

use App\Models\Plan;

/** Readiness in words: "can start now; waits at step 50 until Thu for Gear blank (P-558)". */
final class ReadinessWords
{
    /** So many are said; of the rest their number. */
    private const SAID = 2;

    /**
     * @param  list<WaitsFor>  $blocks
     * @param  string  $unplaced  why the plan has no place for it
     */
    public static function say(bool $canStart, array $blocks, string $unplaced): string
    {
        if ($unplaced === Plan::HELD) {
            return 'held';
        }
        $first = $blocks === [] ? null : min(array_column($blocks, 'step'));
        $said = $canStart ? ['can start now'] : [];
        foreach (array_slice($blocks, 0, self::SAID) as $block) {
            $said[] = $block->says($canStart || $block->step !== $first ? " at step {$block->step}" : '');
        }
        if (count($blocks) > self::SAID) {
            $said[] = (count($blocks) - self::SAID).' more';
        }

        return implode('; ', $said === [] ? ['all parts there'] : $said).($unplaced === '' ? '' : "; {$unplaced}");
    }
}
