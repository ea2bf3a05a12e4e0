<?php

namespace App\Queries\Combine;

use App\Reading\Row;
use App\Shop\SharedRuns;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/**
 * Steps of different orders that are set up once, and steps of firm orders that could be: at one work centre, of one
 * setup family or, where they have none, of one name.
 */
final readonly class TogetherList
{
    private const MOST = 400;

    /**
     * @param  array<string, non-empty-list<TogetherRow>>  $runs  set up once, by run
     * @param  array<string, non-empty-list<TogetherRow>>  $groups  that could be, of two orders or more, those that
     *     save most first
     * @param  bool  $isCut  there are more steps than are looked at
     */
    private function __construct(public array $runs, public array $groups, public bool $isCut)
    {
    }

    public static function read(): self
    {
        $all = self::grouped(self::could());
        $could = array_filter(
            $all,
            fn (array $rows): bool => count(array_unique(array_column($rows, 'orderId'))) > 1,
        );

        uasort($could, fn (array $one, array $two): int => self::saves($two) <=> self::saves($one));

        return new self(self::grouped(self::shared()), $could, array_sum(array_map(count(...), $all)) >= self::MOST);
    }

    /**
     * Minutes less when all of them are set up once: all but the longest.
     *
     * @param  non-empty-list<TogetherRow>  $rows
     */
    public static function saves(array $rows): int
    {
        $setups = array_map(fn (TogetherRow $row): int => $row->setup, $rows);

        return array_sum($setups) - max($setups);
    }

    /**
     * What of the set-up nobody pays any more: the order that was to ended.
     *
     * @param  non-empty-list<TogetherRow>  $run
     */
    public function unpaid(array $run): int
    {
        return $run[0]->ofRun - array_sum(array_map(fn (TogetherRow $row): int => (int) $row->share, $run));
    }

    /** @return array<string, non-empty-list<TogetherRow>> */
    private static function grouped(Builder $query): array
    {
        $groups = [];
        foreach (Row::all($query, TogetherRow::from(...)) as $row) {
            $groups[$row->group][] = $row;
        }

        return $groups;
    }

    private static function shared(): Builder
    {
        return self::columns(SharedRuns::open())
            ->orderBy('g.id')
            ->addSelect(['g.id AS part', 'r.setup_minutes AS share', 'g.setup_minutes AS of_run']);
    }

    private static function could(): Builder
    {
        $query = DB::table('orders AS o')
            ->join('order_steps AS s', 's.order_id', 'o.id')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->where('o.state', OrderState::Firm->value)
            ->where('s.setup_minutes', '>', 0)
            ->whereNull('s.supplier_id')
            ->whereNull('r.order_step_id');

        return self::columns($query)
            ->where('w.load_size', 0)
            ->orderBy('w.code')
            ->orderByRaw('f.code, s.name, o.due_on IS NULL, o.due_on, o.id')
            ->limit(self::MOST)
            ->selectRaw("CONCAT(w.id, ' ', COALESCE(f.code, CONCAT('- ', s.name))) AS part")
            ->selectRaw('NULL AS share, NULL AS of_run');
    }

    private static function columns(Builder $query): Builder
    {
        return $query
            ->join('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->select(['s.id', 'w.name AS work_centre', 'f.code AS family', 'o.id AS order_id', 'o.number AS order'])
            ->addSelect(['i.name AS item', 's.number', 's.name', 'o.quantity', 'u.code AS unit', 'o.due_on'])
            ->selectRaw('CEIL(s.setup_minutes) AS setup, o.released_at IS NULL AS is_firm')
            ->selectSub(fn (Builder $ties) => Ties::customersOf($ties, 'o.id'), 'for_whom');
    }
}
