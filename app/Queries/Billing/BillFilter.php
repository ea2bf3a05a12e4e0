<?php

namespace App\Queries\Billing;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;

/** Which bills are shown. */
enum BillFilter: string
{
    case Open = 'open';
    case Accepted = 'accepted';
    case Refused = 'refused';

    public static function asked(?string $typed): self
    {
        return self::tryFrom($typed ?? '') ?? self::Open;
    }

    public function label(): string
    {
        return BillState::from($this->value)->label();
    }

    public function isOpen(): bool
    {
        return $this === self::Open;
    }

    /** Where there are none. */
    public function none(): string
    {
        return match ($this) {
            self::Open => 'No bill waits to be looked at.',
            self::Accepted => 'No bill was accepted yet.',
            self::Refused => 'No bill went back.',
        };
    }

    public function bills(): Builder
    {
        return DB::table('bills AS b')
            ->join('suppliers AS s', 's.id', 'b.supplier_id')
            ->where('b.state', $this->value)
            ->select(['b.id', 'b.number', 'b.billed_on', 'b.due_on', 'b.cents', 'b.note', 's.name AS supplier'])
            ->selectSub(
                DB::table('bill_lines')->whereColumn('bill_id', 'b.id')->selectRaw('COUNT(*)'),
                'line_count',
            );
    }
}
