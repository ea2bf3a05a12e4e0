<?php

namespace App\Queries\Billing;

use App\Reading\Cut;
use App\Reading\Row;

/** A bill in the list. */
final readonly class ListedBill
{
    private const SHOWN = 200;

    private function __construct(
        public int $id,
        public string $number,
        public string $supplier,
        public string $billedOn,
        public ?string $dueOn,
        public int $lines,
        public int $cents,
        public string $note,
    ) {
    }

    /** @return Cut<self> those to be looked at oldest first, others newest first */
    public static function in(BillFilter $filter): Cut
    {
        $bills = $filter === BillFilter::Open
            ? $filter->bills()->orderBy('b.billed_on')->orderBy('b.id')
            : $filter->bills()->orderByDesc('b.billed_on')->orderByDesc('b.id');

        return Cut::read($bills, self::SHOWN, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('supplier'),
            $row->text('billed_on'),
            $row->textOrNull('due_on'),
            $row->int('line_count'),
            $row->int('cents'),
            $row->text('note'),
        ));
    }
}
