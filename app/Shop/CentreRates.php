<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use KeepPace\Core\Costing\Rates;

/** The rates of the work centre a step of a routing stands at, as they are today. */
final class CentreRates
{
    /** @param  Builder  $steps  with its work centre joined as w, none for an outside step: it has no rates */
    public static function select(Builder $steps): Builder
    {
        return $steps->selectRaw(<<<'SQL'
            COALESCE(w.labour_rate, 0) AS labour, COALESCE(w.machine_rate, 0) AS machine,
            COALESCE(w.overhead_percent, 0) AS overhead, COALESCE(w.overhead_hour, 0) AS overhead_hour,
            COALESCE(w.overhead_piece, 0) AS overhead_piece
            SQL);
    }

    /** Of a row of select(). */
    public static function of(Row $row): Rates
    {
        return new Rates(
            $row->text('labour'),
            $row->text('machine'),
            $row->text('overhead'),
            $row->text('overhead_hour'),
            $row->text('overhead_piece'),
        );
    }
}
