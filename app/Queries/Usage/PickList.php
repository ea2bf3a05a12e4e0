<?php

namespace App\Queries\Usage;

use App\Models\Slip;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What is to be taken from where for a slip: by place, then by item and lot. */
final readonly class PickList
{
    /**
     * @param  Collection<int, PickRow>  $rows
     * @param  Collection<int, NotThere>  $missing
     */
    private function __construct(public Slip $slip, public Collection $rows, public Collection $missing)
    {
    }

    public static function of(int $id): self
    {
        $slip = Slip::query()->with('changedBy')->findOrFail($id);

        return new self(
            $slip,
            Row::all(self::rows($slip), PickRow::from(...)),
            Row::all(self::missing($slip), NotThere::from(...)),
        );
    }

    public function isOpen(): bool
    {
        return $this->slip->state === Slip::OPEN;
    }

    /** "2 of 5 picked, for order 218." */
    public function says(): string
    {
        $picked = $this->rows->where('isPicked', true)->count();
        $orders = $this->rows->map(fn (PickRow $row): string => $row->order)->unique();
        $for = $orders->count() === 1 ? "order {$orders->first()}" : "{$orders->count()} orders";

        return "{$picked} of {$this->rows->count()} picked, for {$for}.";
    }

    /** The row before is of the same place. */
    public function isOfPlaceAbove(int $at): bool
    {
        return $at > 0 && $this->rows[$at - 1]->place === $this->rows[$at]->place;
    }

    private static function rows(Slip $slip): Builder
    {
        return DB::table('slip_splits AS s')
            ->join('slip_lines AS l', 'l.id', 's.slip_line_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('places AS p', 'p.id', 's.place_id')
            ->leftJoin('lots AS t', fn (JoinClause $join) => $join
                ->on('t.item_id', 'l.item_id')
                ->on('t.code', 's.code'))
            ->where('l.slip_id', $slip->id)
            ->where('l.is_out', false)
            ->orderByRaw('p.name IS NULL, p.name')
            ->orderBy('i.number')
            ->orderBy('s.code')
            ->orderBy('o.number')
            ->select([
                's.id',
                's.code',
                's.typed',
                's.is_picked',
                'p.name AS place',
                'i.number AS item_number',
                'i.name AS item_name',
                'u.code AS unit',
                'o.number AS order_number',
                'o.id AS order_id',
                'l.step_number',
                't.expires_on',
            ]);
    }

    private static function missing(Slip $slip): Builder
    {
        return DB::table('slip_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->where('l.slip_id', $slip->id)
            ->where('l.is_out', false)
            ->where('l.proposed', '>', 0)
            ->select(['i.number AS item_number', 'i.name AS item_name', 'u.code AS unit', 'o.number AS order_number'])
            ->selectRaw(
                'l.proposed - (SELECT COALESCE(SUM(s.typed + 0), 0) FROM slip_splits s
                    WHERE s.slip_line_id = l.id) AS quantity',
            )
            ->having('quantity', '>', 0);
    }
}
