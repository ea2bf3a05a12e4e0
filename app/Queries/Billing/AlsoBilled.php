<?php

namespace App\Queries\Billing;

use App\Models\Bill;
use App\Models\BillLine;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;

/**
 * Which purchase lines are on several bills that are to be looked at: each alone is as it came and was agreed, but what
 * came once is paid once.
 */
final readonly class AlsoBilled
{
    /** @param  array<int, array<int, string>>  $numbers  of bills, by purchase line and bill */
    private function __construct(private array $numbers)
    {
    }

    /** @param  Collection<int, Bill>  $bills  with their lines */
    public static function of(Collection $bills): self
    {
        $lines = $bills->flatMap(fn (Bill $bill): Collection => $bill->lines->pluck('purchase_line_id'))->filter();
        $open = DB::table('bill_lines AS l')
            ->join('bills AS b', 'b.id', 'l.bill_id')
            ->where('b.state', BillState::Open->value)
            ->where('l.quantity', '>', 0)
            ->whereIn('l.purchase_line_id', $lines->unique()->values())
            ->orderBy('l.bill_id')
            ->select(['l.purchase_line_id', 'l.bill_id', 'b.number']);
        $numbers = [];
        foreach (Row::all($open, fn (Row $row): Row => $row) as $row) {
            $numbers[$row->int('purchase_line_id')][$row->int('bill_id')] = $row->text('number');
        }

        return new self($numbers);
    }

    /** @return list<string> numbers of the other bills its purchase line is on; a credit is no second bill */
    public function besides(BillLine $line): array
    {
        return $line->cents < 0
            ? []
            : array_values(array_diff_key($this->numbers[$line->purchase_line_id] ?? [], [$line->bill_id => true]));
    }
}
