<?php

namespace App\Queries\Board;

use App\Shop\PlantDay;
use App\Wording\Figures;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;

/**
 * A comparison as the pages say it: orders by number, worst first.
 *
 * @phpstan-type EffectOrder array{id: int, number: string, says: string}
 * @phpstan-type Effect array{
 *     late: list<EffectOrder>,
 *     saved: list<EffectOrder>,
 *     other: list<EffectOrder>,
 *     moved: int,
 *     lateBefore: int,
 *     lateAfter: int,
 *     totalBefore: int,
 *     totalAfter: int,
 * }
 */
final class EffectWords
{
    /**
     * What of() tells, in one sentence.
     *
     * @param  Effect  $effect
     */
    public static function sentence(array $effect): string
    {
        $late = array_map(fn (array $one): string => "{$one['number']} ({$one['says']})", $effect['late']);
        $saved = array_column($effect['saved'], 'number');
        $hours = fn (int $minutes): string => (string) round($minutes / 60, 1);

        return 'It would '.($late === [] ? 'make nobody late' : 'make late: '.implode(', ', $late))
            .($saved === [] ? '' : '; save '.implode(', ', $saved))
            .". {$effect['moved']} steps move. All lateness from {$hours($effect['totalBefore'])}"
            ." to {$hours($effect['totalAfter'])} open hours.";
    }

    /** @return Effect */
    public static function of(Comparison $comparison): array
    {
        $late = $comparison->becomeLate() + array_fill_keys($comparison->lost, PHP_INT_MAX);
        $other = $comparison->otherwise();
        arsort($late);
        arsort($other);
        $numbers = DB::table('orders')
            ->whereIn('id', [...array_keys($late), ...array_keys($other), ...$comparison->saved()])
            ->pluck('number', 'id')
            ->map(fn (mixed $number): string => is_string($number) ? $number : '');

        return [
            'late' => self::say($late, $numbers, self::late(...)),
            'saved' => self::say(array_fill_keys($comparison->saved(), 0), $numbers, fn (): string => 'in time'),
            'other' => self::say($other, $numbers, self::other(...)),
            'moved' => count($comparison->moved),
            'lateBefore' => count($comparison->lateBefore), 'lateAfter' => count($comparison->lateAfter),
            'totalBefore' => $comparison->totalBefore(), 'totalAfter' => $comparison->totalAfter(),
        ];
    }

    /**
     * Those that are still there, each with what it comes to.
     *
     * @param  array<int, int>  $of  minutes by order, the worst first
     * @param  Collection<array-key, string>  $numbers  by order
     * @param  callable(int): string  $words
     * @return list<EffectOrder>
     */
    private static function say(array $of, Collection $numbers, callable $words): array
    {
        $said = [];
        foreach ($of as $id => $minutes) {
            if (isset($numbers[$id])) {
                $said[] = ['id' => $id, 'number' => $numbers[$id], 'says' => $words($minutes)];
            }
        }

        return $said;
    }

    private static function late(int $minutes): string
    {
        return $minutes === PHP_INT_MAX ? 'has no place any more' : PlantDay::pace($minutes);
    }

    private static function other(int $minutes): string
    {
        return Figures::minutes(abs($minutes)).($minutes > 0 ? ' later' : ' sooner');
    }
}
