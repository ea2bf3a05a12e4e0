<?php

namespace App\Shop;

use App\Models\ItemRevision;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Reading\Row;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\Revision;
use KeepPace\Core\Structure\Structures;

/** What items are made of, all levels down, by the structures in force today, in a constant number of queries. */
final readonly class MadeOf
{
    /**
     * @param  array<array-key, MadeItem>  $items  by number
     * @param  array<array-key, list<MadeLine>>  $lines  what goes in, by number of what is made of it
     * @param  array<array-key, list<MadeLine>>  $comesBack  what comes out beside it, likewise
     */
    private function __construct(public array $items, public array $lines, public array $comesBack)
    {
    }

    /**
     * @param  list<int>  $items  ids
     * @param  Structure|null  $instead  one that stands for the one in force of its item
     */
    public static function below(array $items, ?Structure $instead = null): self
    {
        $items = $instead === null
            ? $items
            : [...$items, $instead->item_id, ...self::namedBy($instead)];
        $ids = self::closure($items);
        $structures = self::inForce(RevisionKind::Structure, $ids, $instead);
        $known = [];
        foreach (Row::all(self::items($ids), MadeItem::from(...)) as $item) {
            $known[$item->number] = $item;
        }
        $numbers = array_column($known, 'number', 'id');
        $lines = $comesBack = [];
        foreach (Row::all(self::linesOf(array_keys($structures)), MadeLine::from(...)) as $line) {
            $of = $numbers[$structures[$line->structureId]];
            $line->gives === null ? $lines[$of][] = $line : $comesBack[$of][] = $line;
        }

        return new self($known, $lines, $comesBack);
    }

    public function structures(): Structures
    {
        $core = [];
        foreach ($this->lines as $number => $lines) {
            $core[$number] = array_map(fn (MadeLine $line): Line => $line->toCore(), $lines);
        }

        return new Structures($core, $this->phantoms());
    }

    /** @return array<array-key, true> by number */
    public function phantoms(): array
    {
        return array_map(
            fn (): bool => true,
            array_filter($this->items, fn (MadeItem $item): bool => $item->isPhantom()),
        );
    }

    /** @return list<ComesBack> beside an item, at what its own items cost where nobody said another value */
    public function given(string $item): array
    {
        return array_map(
            fn (MadeLine $line): ComesBack => $line->comesBack($this->items[$line->item]->cost),
            $this->comesBack[$item] ?? [],
        );
    }

    /** @return array<int, MadeLine> by id */
    public function linesById(): array
    {
        return array_column(array_merge(...array_values($this->lines)), null, 'id');
    }

    /**
     * The revisions of items that are in force.
     *
     * @param  list<int>  $items  ids
     * @param  ItemRevision|null  $instead  one that stands for the one in force of its item
     * @param  string|null  $day  "YYYY-MM-DD"; null = today
     * @return array<int, int> item by id of the revision
     */
    public static function inForce(
        RevisionKind $kind,
        array $items,
        ?ItemRevision $instead = null,
        ?string $day = null,
    ): array {
        $day ??= When::today()->toDateString();
        $heads = $kind->model()::query()->whereIn('item_id', $items)->get();
        $force = [];
        foreach ($heads->groupBy('item_id') as $item => $revisions) {
            $all = $revisions->map(fn (Structure|Routing $one): Revision => $one->asRevision());
            $one = Revision::inForce(array_values($all->all()), $day);
            $one === null ?: $force[$one->id] = (int) $item;
        }
        if ($instead !== null) {
            $force = array_filter($force, fn (int $item): bool => $item !== $instead->item_id);
            $force[$instead->id] = $instead->item_id;
        }

        return $force;
    }

    /** @return list<int> items that its lines name */
    private static function namedBy(Structure $structure): array
    {
        return Row::ints(DB::table('structure_lines')->where('structure_id', $structure->id), 'item_id');
    }

    /**
     * @param  list<int>  $items
     * @return list<int> they, all below them, and what comes back beside these; a structure
     *     that was replaced may name some more
     */
    private static function closure(array $items): array
    {
        if ($items === []) {
            return [];
        }
        $roots = implode(', ', $items);
        $below = "(WITH RECURSIVE below (id) AS (
                SELECT id FROM items WHERE id IN ({$roots})
                UNION
                SELECT l.item_id FROM below b
                JOIN structures s ON s.item_id = b.id AND s.status = 'approved'
                    AND (s.effective_from IS NULL OR s.effective_from <= ?)
                JOIN structure_lines l ON l.structure_id = s.id AND l.gives IS NULL)
            SELECT id FROM below
            UNION
            SELECT l.item_id FROM below b
            JOIN structures s ON s.item_id = b.id AND s.status = 'approved'
            JOIN structure_lines l ON l.structure_id = s.id AND l.gives IS NOT NULL) AS down";

        return Row::ints(DB::query()->fromRaw($below, [When::today()->toDateString()]), 'id');
    }

    /** @param  list<int>  $ids */
    private static function items(array $ids): Builder
    {
        return DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->whereIn('i.id', $ids)
            ->select(['i.id', 'i.number', 'i.name', 'i.kind', 'i.cost', 'i.costing', 'i.usual_lot', 'i.retired_at'])
            ->addSelect(['u.code AS unit', 'u.decimals']);
    }

    /** @param  list<int>  $structures */
    private static function linesOf(array $structures): Builder
    {
        return DB::table('structure_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'l.unit_id')
            ->leftJoin('item_units AS r', fn (JoinClause $join) => $join
                ->on('r.item_id', 'l.item_id')
                ->on('r.unit_id', 'l.unit_id'))
            ->whereIn('l.structure_id', $structures)
            ->orderBy('l.structure_id')
            ->orderBy('l.position')
            ->select(['l.id', 'l.structure_id', 'l.position', 'l.item_id', 'l.quantity', 'l.basis', 'l.scrap_percent'])
            ->addSelect(['l.step_number', 'l.designators', 'l.issue_by', 'l.supplied_by'])
            ->addSelect(['l.gives', 'l.share_rule', 'l.share'])
            ->addSelect(['i.number AS item', 'i.name', 'u.code AS unit'])
            ->selectRaw('IF(l.unit_id = i.unit_id, 1, COALESCE(r.p, 1)) AS p')
            ->selectRaw('IF(l.unit_id = i.unit_id, 1, COALESCE(r.q, 1)) AS q');
    }
}
