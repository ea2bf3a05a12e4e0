<?php

namespace App\Wording;

use App\Models\Plan;

/** Readiness in words: "can start now; waits at step 50 until Thu for Gear blank (P-558)". */
final class ReadinessWords
{
    /** So many are said; of the rest their number. */
    private const SAID = 2;

    /**
     * @param  list<array{step: int, item: string, supply: ?string, at: ?int, rests: ?string, given: ?string}>  $blocks
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
            $said[] = self::block(
                $block,
                $canStart || $block['step'] !== $first ? " at step {$block['step']}" : '',
            );
        }
        if (count($blocks) > self::SAID) {
            $said[] = (count($blocks) - self::SAID).' more';
        }

        return implode('; ', $said === [] ? ['all parts there'] : $said).($unplaced === '' ? '' : "; {$unplaced}");
    }

    /**
     * What nothing is ordered for, then what comes last.
     *
     * @return list<array{step: int, item: string, supply: ?string, at: ?int, rests: ?string, given: ?string}>
     */
    public static function blocks(string $json): array
    {
        $blocks = array_map(
            fn (array $block): array => [
                ...$block,
                'rests' => $block['rests'] ?? null,
                'given' => $block['given'] ?? null,
            ],
            json_decode($json, true),
        );
        $place = fn (array $block): array => [
            $block['supply'] !== null,
            $block['step'],
            -($block['at'] ?? PHP_INT_MAX),
        ];
        usort($blocks, fn (array $a, array $b): int => $place($a) <=> $place($b));

        return $blocks;
    }

    /** @param  array{step: int, item: string, supply: ?string, at: ?int, rests: ?string, given: ?string}  $block */
    private static function block(array $block, string $at): string
    {
        if ($block['supply'] === null) {
            return "stuck{$at}: no {$block['item']} ordered".ArrivalWords::missing($block);
        }
        $document = preg_replace('/^(order|purchase) /', '', $block['supply']);

        return "waits{$at}".ArrivalWords::until($block)." for {$block['item']} ({$document})";
    }
}
