<?php

namespace App\Queries\Purchasing;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** A supplier something is to come from. */
final readonly class Bringing
{
    private function __construct(
        public int $id,
        public string $name,
        public int $lines,
        public string $nextOn,
        public bool $isOverdue,
    ) {
    }

    /**
     * @param  string  $today  "YYYY-MM-DD"
     * @return list<self> whose goods are due first
     */
    public static function all(string $today): array
    {
        $suppliers = DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'o.supplier_id')
            ->where('l.is_open', true)
            ->whereNull('l.order_step_id')
            ->groupBy('s.id', 's.name')
            ->orderByRaw('MIN(l.expected_on), s.name')
            ->select(['s.id', 's.name'])
            ->selectRaw('COUNT(*) AS line_count, MIN(l.expected_on) AS next_on');

        return array_values(Row::all($suppliers, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('name'),
            $row->int('line_count'),
            $row->text('next_on'),
            $row->text('next_on') < $today,
        ))->all());
    }
}
