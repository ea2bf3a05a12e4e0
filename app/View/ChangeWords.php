<?php

namespace App\View;

use App\Planner\Effect;
use App\Shop\PlantDay;
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
        $said = [...self::ready($effect, $name), ...self::late($effect, $late, $name)];
        foreach ($better as $id => $was) {
            $now = $comparison->lateAfter[$id] ?? 0;
            $is = $now > 0 ? PlantDay::pace($now) : 'in time again';
            $said[] = ['says' => "{$name($id)}: {$is}, before ".PlantDay::pace($was).'.', 'tone' => 'good'];
        }

        return $said === []
            ? [['says' => 'Nobody becomes ready, stuck, late or less late by it.', 'tone' => '']]
            : $said;
    }

    /**
     * @param  \Closure(int): string  $name
     * @return list<array{says: string, tone: string}>
     */
    private static function ready(Effect $effect, \Closure $name): array
    {
        $said = [];
        foreach (self::STATES as $state => [$tone, $word]) {
            $ids = array_keys(array_filter($effect->readiness, fn (array $change): bool => $change[1] === $state));
            if ($ids !== []) {
                $said[] = ['says' => collect($ids)->map($name)->join(', ', ' and ').": {$word}.", 'tone' => $tone];
            }
        }

        return $said;
    }

    /**
     * @param  array<int, int>  $late  minutes by order
     * @param  \Closure(int): string  $name
     * @return list<array{says: string, tone: string}> the most late first
     */
    private static function late(Effect $effect, array $late, \Closure $name): array
    {
        arsort($late);
        $said = [];
        foreach ($late as $id => $minutes) {
            $was = $effect->comparison->lateBefore[$id] ?? 0;
            $before = $was > 0 ? ', before '.PlantDay::pace($was) : '';
            $said[] = ['says' => "{$name($id)}: ".PlantDay::pace($minutes)."{$before}.", 'tone' => 'behind'];
        }

        return $said;
    }
}
