<?php

namespace App\Shop;

use App\Models\RevisionKind;
use App\Reading\Row;
use Brick\Math\BigRational;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;

/** Which items come out of one order together: co-products with the item whose structure in force gives them. */
final readonly class MadeTogether
{
    /** @param  array<int, array<int, BigRational>>  $each  stock units a piece, by main item and co-product */
    private function __construct(private array $each)
    {
    }

    public static function now(): self
    {
        $lines = DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'l.structure_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->leftJoin('item_units AS r', fn (JoinClause $join) => $join
                ->on('r.item_id', 'l.item_id')
                ->on('r.unit_id', 'l.unit_id'))
            ->where('l.gives', OutputKind::CoProduct->value)
            ->where('l.basis', LineBasis::PerUnit->value)
            ->where('s.status', 'approved')
            ->select(['l.structure_id', 's.item_id AS main', 'l.item_id', 'l.quantity'])
            ->selectRaw('IF(l.unit_id = i.unit_id, 1, COALESCE(r.p, 1)) AS p')
            ->selectRaw('IF(l.unit_id = i.unit_id, 1, COALESCE(r.q, 1)) AS q');
        $rows = Row::all($lines, fn (Row $row): Row => $row);
        $mains = array_values($rows->map(fn (Row $row): int => $row->int('main'))->unique()->all());
        $force = $mains === [] ? [] : MadeOf::inForce(RevisionKind::Structure, $mains);
        $each = [];
        foreach ($rows as $row) {
            if (isset($force[$row->int('structure_id')])) {
                $ratio = BigRational::nd($row->text('p'), $row->text('q'))->multipliedBy($row->decimal('quantity'));
                $each[$row->int('main')][$row->int('item_id')] = $ratio->plus(
                    $each[$row->int('main')][$row->int('item_id')] ?? 0,
                );
            }
        }

        return new self($each);
    }

    /**
     * The one of these items with whose orders all the others come.
     *
     * @param  list<int>  $items
     * @return int|null  null = they are made apart
     */
    public function main(array $items): ?int
    {
        foreach ($items as $item) {
            if (array_diff($items, [$item, ...array_keys($this->each[$item] ?? [])]) === []) {
                return $item;
            }
        }

        return null;
    }

    /** @return list<int> items that come with those of one */
    public function with(int $main): array
    {
        return array_keys($this->each[$main] ?? []);
    }

    /** @return array<int, BigRational> of each item in one run, by item */
    public function run(int $main): array
    {
        return [$main => BigRational::one()] + ($this->each[$main] ?? []);
    }
}
