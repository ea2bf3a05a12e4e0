<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** A downtime, an absence or extra hours, as far as it is not over. */
final readonly class Span
{
    /**
     * @param  int  $of  the work centre or person it is said of
     * @param  int  $from  UTC minute
     * @param  int|null  $until  UTC minute; null = nobody knows
     * @param  int|null  $machine  of a downtime
     */
    private function __construct(public int $of, public int $from, public ?int $until, public ?int $machine)
    {
    }

    /** @return array<int, list<self>> by machine's work centre */
    public static function downtimes(): array
    {
        return self::all('downtimes', 'work_centre_id', 'machine');
    }

    /** @return array<int, list<self>> by work centre */
    public static function overtimes(): array
    {
        return self::all('overtimes', 'work_centre_id');
    }

    /** @return array<int, list<self>> by person */
    public static function absences(): array
    {
        return self::all('absences', 'person_id');
    }

    /** @return array<int, list<self>> */
    private static function all(string $table, string $of, ?string $machine = null): array
    {
        $rows = DB::table($table)
            ->whereNull('ended_at')
            ->where(fn (Builder $until) => $until->whereNull('until_at')->orWhere('until_at', '>', now()))
            ->orderBy('id')
            ->select("{$of} AS of")
            ->selectRaw(ShopState::minuteOf('from_at').' AS `from`')
            ->selectRaw(ShopState::minuteOf('until_at').' AS `until`')
            ->selectRaw(($machine ?? 'NULL').' AS machine');
        $spans = [];
        foreach (Row::all($rows, self::from(...)) as $span) {
            $spans[$span->of][] = $span;
        }

        return $spans;
    }

    private static function from(Row $row): self
    {
        return new self($row->int('of'), $row->int('from'), $row->intOrNull('until'), $row->intOrNull('machine'));
    }
}
