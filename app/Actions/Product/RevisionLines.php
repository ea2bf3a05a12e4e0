<?php

namespace App\Actions\Product;

use App\Books\ProductChanges;
use App\Books\RowDiff;
use App\Models\RevisionKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Routing\OtherWays;

/**
 * The lines of a structure or the steps of a routing, written as they are to be, by page or by file; what differs goes
 * into the trail. A step's other work centres stand in its row as one text, "ways".
 */
final class RevisionLines
{
    private readonly LineWords $words;

    public function __construct(private readonly RevisionKind $kind, private readonly ProductChanges $changes)
    {
        $this->words = new LineWords;
    }

    /** @return list<array<string, mixed>> as they stand */
    public function of(int $revision): array
    {
        $rows = DB::table($this->kind->lines())->where($this->kind->parent(), $revision)->orderBy($this->kind->by());
        $all = array_values(array_map(get_object_vars(...), $rows->get()->all()));
        $ways = $this->waysOf(array_column($all, 'id'));

        return $this->kind === RevisionKind::Structure ? $all : array_map(
            fn (array $row): array => [...$row, 'ways' => OtherWays::write($ways[$row['id']] ?? [])],
            $all,
        );
    }

    /**
     * @param  list<array<string, mixed>>  $have
     * @param  list<array<string, mixed>>  $want
     */
    public function isSame(array $have, array $want): bool
    {
        $want = array_map($this->spelt(...), $want);
        $differs = fn (array $row, int $at): bool => RowDiff::differs($have[$at], $row);

        return count($have) === count($want) && array_filter($want, $differs, ARRAY_FILTER_USE_BOTH) === [];
    }

    /**
     * @param  string  $record  the revision, as people call it
     * @param  list<array<string, mixed>>  $have  as they stand
     * @param  list<array<string, mixed>>  $want  those with an id are lines that stand, changed; of the others one that
     *     is known by the same number as a line that stands takes its place
     */
    public function replace(int $revision, string $record, array $have, array $want): void
    {
        $want = $this->known($have, array_map($this->spelt(...), $want));
        $this->trail($revision, $record, array_column($have, null, 'id'), $want);
        DB::table($this->kind->lines())->where($this->kind->parent(), $revision)->delete();
        $this->insert($revision, $this->kept($have, $want));
    }

    /** @param  list<array<string, mixed>>  $want */
    public function insert(int $revision, array $want): void
    {
        $plain = ['new' => [], 'kept' => []];
        foreach (array_map($this->spelt(...), $want) as $row) {
            $ways = (string) ($row['ways'] ?? '');
            unset($row['ways']);
            $row[$this->kind->parent()] = $revision;
            if ($ways === '') {
                $plain[isset($row['id']) ? 'kept' : 'new'][] = $row;

                continue;
            }
            $id = DB::table($this->kind->lines())->insertGetId($row);
            foreach (OtherWays::read($ways) as $code => $percent) {
                DB::table('routing_step_ways')->insert([
                    'routing_step_id' => $row['id'] ?? $id,
                    'work_centre_id' => $this->words->workCentre((string) $code),
                    'percent' => $percent,
                ]);
            }
        }
        foreach ($plain as $rows) {
            $rows === [] ?: DB::table($this->kind->lines())->insert($rows);
        }
    }

    /**
     * Work centres as the shop spells them.
     *
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private function spelt(array $row): array
    {
        if (isset($row['ways'])) {
            $ways = [];
            foreach (OtherWays::read((string) $row['ways']) as $code => $percent) {
                $ways[$this->words->say('work_centre_id', $this->words->workCentre((string) $code))] = $percent;
            }
            $row['ways'] = OtherWays::write($ways);
        }

        return $row;
    }

    /**
     * What stands keeps what the page or file does not speak of.
     *
     * @param  list<array<string, mixed>>  $have
     * @param  list<array<string, mixed>>  $want
     * @return list<array<string, mixed>>
     */
    private function kept(array $have, array $want): array
    {
        $before = array_column($have, null, 'id');

        return array_map(fn (array $row): array => [
            ...array_diff_key($before[$row['id'] ?? 0] ?? [], ['done_at' => 0]),
            ...$row,
        ], $want);
    }

    /**
     * @param  list<array<string, mixed>>  $have
     * @param  list<array<string, mixed>>  $want
     * @return list<array<string, mixed>>
     */
    private function known(array $have, array $want): array
    {
        $free = array_column($have, 'id', $this->kind->by());
        $named = array_flip(array_column($want, 'id'));
        $free = array_filter($free, fn (mixed $id): bool => ! isset($named[$id]));

        return array_map(function (array $row) use (&$free): array {
            $at = $row[$this->kind->by()];
            if (! isset($row['id']) && isset($free[$at])) {
                $row['id'] = $free[$at];
                unset($free[$at]);
            }

            return $row;
        }, $want);
    }

    /**
     * @param  array<int, array<string, mixed>>  $before  by id
     * @param  list<array<string, mixed>>  $want
     */
    private function trail(int $revision, string $record, array $before, array $want): void
    {
        $keep = fn (string $what, string $was, string $is) => $this->changes
            ->field($this->kind->value, $revision, $record, $what, $was, $is);
        $name = fn (array $row): string => "{$this->kind->word()} {$row[$this->kind->by()]}";
        foreach ($want as $row) {
            $was = isset($row['id']) ? $before[$row['id']] ?? null : null;
            if ($was === null) {
                $keep($name($row), '', 'there: '.$this->words->line($row));

                continue;
            }
            unset($before[$row['id']]);
            foreach (RowDiff::of($was, $row) as $column) {
                $keep(
                    "{$name($was)}, {$this->words->field($column)}",
                    $this->words->say($column, $was[$column]),
                    $this->words->say($column, $row[$column]),
                );
            }
        }
        foreach ($before as $row) {
            $keep($name($row), $this->words->line($row), 'taken out');
        }
    }

    /**
     * @param  array<mixed>  $steps  ids
     * @return array<int, array<string, int>>
     */
    private function waysOf(array $steps): array
    {
        $ways = [];
        if ($this->kind === RevisionKind::Routing) {
            $rows = DB::table('routing_step_ways AS y')
                ->join('work_centres AS w', 'w.id', 'y.work_centre_id')
                ->whereIn('y.routing_step_id', $steps)
                ->orderBy('y.id');
            foreach ($rows->get(['y.routing_step_id', 'w.code', 'y.percent']) as $way) {
                $ways[$way->routing_step_id][$way->code] = $way->percent;
            }
        }

        return $ways;
    }
}
