<?php

namespace App\Actions\Schedule;

use Illuminate\Support\Facades\DB;

/**
 * What a deed on the plan changed besides it, as a list a person's undo can take back: a row that was made or is gone,
 * or a column that was set.
 *
 * @phpstan-type Fact array{
 *     table: string,
 *     id?: int,
 *     column?: string,
 *     before?: mixed,
 *     after?: mixed,
 *     row?: array<string, mixed>,
 *     gone?: array<string, mixed>,
 * }
 */
final class Facts
{
    /**
     * Orders whose own columns, or their steps', a deed's facts are.
     *
     * @param  list<Fact>  $facts
     * @return list<int>
     */
    public function orders(array $facts): array
    {
        $orders = $steps = [];
        foreach ($facts as $fact) {
            if (isset($fact['id'])) {
                $fact['table'] === 'orders' ? $orders[] = (int) $fact['id'] : $steps[] = (int) $fact['id'];
            }
        }

        return array_values(array_unique([
            ...$orders,
            ...DB::table('order_steps')->whereIn('id', $steps)->pluck('order_id')->all(),
        ]));
    }

    /** @param  list<Fact>  $facts */
    public function takeBack(array $facts): void
    {
        foreach (array_reverse($facts) as $fact) {
            if (isset($fact['row'])) {
                DB::table($fact['table'])->where($fact['row'])->delete();
            } elseif (isset($fact['gone'])) {
                DB::table($fact['table'])->insert($fact['gone']);
            } elseif (isset($fact['id'], $fact['column'])) {
                DB::table($fact['table'])
                    ->where('id', $fact['id'])
                    ->where($fact['column'], $fact['after'] ?? null)
                    ->update([$fact['column'] => $fact['before'] ?? null]);
            }
        }
    }

    /** @param  list<Fact>  $facts */
    public function doAgain(array $facts): void
    {
        foreach ($facts as $fact) {
            if (isset($fact['row'])) {
                DB::table($fact['table'])->insert($fact['row']);
            } elseif (isset($fact['gone'])) {
                DB::table($fact['table'])->where($fact['gone'])->delete();
            } elseif (isset($fact['id'], $fact['column'])) {
                DB::table($fact['table'])
                    ->where('id', $fact['id'])
                    ->update([$fact['column'] => $fact['after'] ?? null]);
            }
        }
    }
}
