<?php

namespace App\Wording;

/** Readiness in words: "can start now; waits at step 50 until Thu for Gear blank (P-558)". */
final class ReadinessWords
{
    /** @param  \stdClass  $plan row of plan_orders */
    public static function say(\stdClass $plan): string
    {
        if ($plan->unplaced === 'held') {
            return 'held';
        }
        /** @var list<array{step: int, item: string, supply: ?string, at: ?int}> $blocks */
        $blocks = json_decode($plan->blocks, true);
        usort($blocks, fn (array $a, array $b): int => [$a['supply'] !== null, $a['step'], $b['at'] ?? PHP_INT_MAX] <=> [$b['supply'] !== null, $b['step'], $a['at'] ?? PHP_INT_MAX]); // what nothing is ordered for, then what comes last
        $said = $plan->can_start ? ['can start now'] : [];
        foreach ($blocks as $i => $block) {
            if ($i === 2) {
                $said[] = (count($blocks) - 2).' more';
                break;
            }
            $at = $plan->can_start || $block['step'] !== min(array_column($blocks, 'step')) ? " at step {$block['step']}" : '';
            $said[] = $block['supply'] === null ? "stuck{$at}: no {$block['item']} ordered"
                : "waits{$at}".($block['at'] === null ? ''
                    : ' until '.When::day($block['at']))." for {$block['item']} (".preg_replace('/^(order|purchase) /', '',
                        $block['supply']).')';
        }
        if ($said === []) {
            $said[] = 'all parts there';
        }

        return implode('; ', $said).($plan->unplaced !== '' ? "; {$plan->unplaced}" : '');
    }
}
