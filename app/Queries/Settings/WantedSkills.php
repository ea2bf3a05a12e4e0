<?php

namespace App\Queries\Settings;

use App\Reading\Row;
use App\Shop\Worker;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** What steps ask for and nobody at their work centre is qualified for: those are planned as if anybody could. */
final readonly class WantedSkills
{
    /** @return list<string> a sentence for each */
    public static function all(): array
    {
        $people = Worker::all()->groupBy('workCentreId');
        $says = [];
        foreach (Row::all(self::wanted(), fn (Row $row): Row => $row) as $row) {
            $qualification = $row->text('qualification');
            $can = fn (Worker $one): bool => $one->qualifications->include($qualification);
            if (! ($people[$row->int('id')] ?? collect())->contains($can)) {
                $at = $row->text('name');
                $says[] = "Nobody at {$at} is qualified for {$qualification}, which steps there ask for: "
                    .'they are planned as if anybody could do them.';
            }
        }

        return $says;
    }

    private static function wanted(): Builder
    {
        return self::steps('routing_steps')
            ->join('routings AS r', 'r.id', 's.routing_id')
            ->where('r.status', 'approved')
            ->union(
                self::steps('order_steps')
                    ->join('orders AS o', 'o.id', 's.order_id')
                    ->whereIn('o.state', OrderState::OPEN),
            )
            ->orderBy('name')
            ->orderBy('qualification');
    }

    private static function steps(string $table): Builder
    {
        return DB::table("{$table} AS s")
            ->join('work_centres AS w', 'w.id', 's.work_centre_id')
            ->where('s.qualification', '<>', '')
            ->select(['w.id', 'w.name', 's.qualification']);
    }
}
