<?php

namespace App\Queries\Billing;

use App\Reading\Cut;
use App\Reading\Row;
use App\Wording\Figures;

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
        public ?BillAgainst $against,
    ) {
    }

    /**
     * "2 are as they came and were agreed, 1 differs."
     *
     * @param  Cut<self>  $bills
     */
    public static function comparedSays(Cut $bills): string
    {
        $agreed = $bills->rows->filter(fn (self $bill): bool => $bill->isAsAgreed())->count();
        $differ = $bills->rows->filter(fn (self $bill): bool => $bill->differs())->count();

        return $agreed + $differ === 0
            ? 'What suppliers bill, against what came and was agreed.'
            : Figures::whole($agreed)
                .($agreed === 1 ? ' is as it came and was agreed, ' : ' are as they came and were agreed, ')
                .Figures::whole($differ).($differ === 1 ? ' differs.' : ' differ.');
    }

    /** It is compared, and nothing of it differs. */
    public function isAsAgreed(): bool
    {
        return $this->against?->isAsAgreed() === true;
    }

    public function differs(): bool
    {
        return $this->against?->isAsAgreed() === false;
    }

    /** What is written on it, and how it compares. */
    public function says(): string
    {
        $against = $this->against?->says() ?? '';

        return $against === '' || $this->note === '' ? $against.$this->note : "{$against} · {$this->note}";
    }

    /** @return Cut<self> those to be looked at oldest first, others newest first */
    public static function in(BillFilter $filter): Cut
    {
        $bills = $filter->isOpen()
            ? $filter->bills()->orderBy('b.billed_on')->orderBy('b.id')
            : $filter->bills()->orderByDesc('b.billed_on')->orderByDesc('b.id');
        $against = $filter->isOpen() ? BillAgainst::ofOldest(self::SHOWN) : [];

        return Cut::read($bills, self::SHOWN, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('supplier'),
            $row->text('billed_on'),
            $row->textOrNull('due_on'),
            $row->int('line_count'),
            $row->int('cents'),
            $row->text('note'),
            $against[$row->int('id')] ?? null,
        ));
    }
}
