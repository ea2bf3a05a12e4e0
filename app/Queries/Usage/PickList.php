<?php

namespace App\Queries\Usage;

use App\Models\Slip;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What is to be taken from where for a slip: by place, then by item and lot. */
final readonly class PickList
{
    /** @param  Collection<int, \stdClass>  $rows  one for each lot at one place for one order */
    private function __construct(public Slip $slip, public Collection $rows, public Collection $missing)
    {
    }

    public static function of(Slip $slip): self
    {
        $rows = DB::table('slip_splits AS s')
            ->join('slip_lines AS l', 'l.id', 's.slip_line_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('places AS p', 'p.id', 's.place_id')
            ->leftJoin('lots AS t', fn ($join) => $join->on('t.item_id', 'l.item_id')->on('t.code', 's.code'))
            ->where('l.slip_id', $slip->id)
            ->where('l.is_out', false)
            ->orderByRaw('p.name IS NULL, p.name')
            ->orderBy('i.number')
            ->orderBy('s.code')
            ->orderBy('o.number')
            ->get([
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
        $missing = DB::table('slip_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->where('l.slip_id', $slip->id)
            ->where('l.is_out', false)
            ->where('l.proposed', '>', 0)
            ->selectRaw(
                'i.number AS item_number, i.name AS item_name, u.code AS unit, o.number AS order_number, l.proposed - (SELECT COALESCE(SUM(s.typed + 0), 0) FROM slip_splits s WHERE s.slip_line_id = l.id) AS quantity',
            )
            ->get()
            ->filter(fn (\stdClass $row): bool => BigDecimal::of($row->quantity)->isPositive())
            ->values();

        return new self($slip, $rows, $missing);
    }

    public function picked(): int
    {
        return $this->rows->where('is_picked', 1)->count();
    }
}
