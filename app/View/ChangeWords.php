<?php

namespace App\View;

use App\Planner\Effect;
use App\Wording\Figures;
use Illuminate\Support\Facades\DB;

/**
 * What a change of facts would do, in sentences: who becomes ready, who is stuck, who becomes late, who is in time
 * again.
 */
final class ChangeWords
{
    /** Tone and word by what an order's parts have become. */
    private const STATES = [
        'ready' => ['good', 'all parts there now'],
        'waits' => ['soon', 'waits'],
        'stuck' => ['behind', 'stuck'],
    ];

    /** @return list<array{says: string, tone: string}> */
    public static function of(Effect $effect): array
    {
        $comparison = $effect->comparison;
        $late = array_filter(
            $comparison->lateAfter,
            fn (int $minutes, int $id): bool => $minutes > ($comparison->lateBefore[$id] ?? 0),
            ARRAY_FILTER_USE_BOTH,
        );
        $better = array_filter(
            $comparison->lateBefore,
            fn (int $minutes, int $id): bool => $minutes > ($comparison->lateAfter[$id] ?? 0),
            ARRAY_FILTER_USE_BOTH,
        );
        $numbers = DB::table('orders')
            ->whereIn('id', [...array_keys($late), ...array_keys($better), ...array_keys($effect->readiness)])
            ->pluck('number', 'id')
            ->all();
        $name = fn (int $id): string => $numbers[$id] ?? '?';
        $said = [];
        foreach (self::STATES as $state => [$tone, $word]) {
            $ids = array_keys(array_filter($effect->readiness, fn (array $change): bool => $change[1] === $state));
            if ($ids !== []) {
                $said[] = ['says' => collect($ids)->map($name)->join(', ', ' and ').": {$word}.", 'tone' => $tone];
            }
        }
        arsort($late);
        foreach ($late as $id => $minutes) {
            $was = $comparison->lateBefore[$id] ?? 0;
            $said[] = [
                'says' => $name($id)
                    .': '
                    .Figures::pace($minutes)
                    .($was > 0 ? ', before '.Figures::pace($was) : '')
                    .'.',
                'tone' => 'behind',
            ];
        }
        foreach ($better as $id => $was) {
            $now = $comparison->lateAfter[$id] ?? 0;
            $said[] = [
                'says' => $name($id)
                    .': '
                    .($now > 0 ? Figures::pace($now) : 'in time again')
                    .', before '
                    .Figures::pace($was)
                    .'.',
                'tone' => 'good',
            ];
        }

        return $said === []
            ? [['says' => 'Nobody becomes ready, stuck, late or less late by it.', 'tone' => '']]
            : $said;
    }
}
