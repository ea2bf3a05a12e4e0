<?php

namespace App\Queries\Billing;

use App\Reading\Row;
use Illuminate\Support\Collection;

/** What came and was not billed by the end of a day, by supplier. */
final readonly class NotBilledPage
{
    /** Of so many lines of a supplier the first are shown, unless he alone was asked for. */
    private const SHOWN = 4;

    /** @param  Collection<int, NotBilledSupplier>  $suppliers  by name */
    private function __construct(public string $day, public Collection $suppliers)
    {
    }

    /** @param  int|null  $supplier  null = all of them */
    public static function on(string $day, ?int $supplier = null): self
    {
        $most = $supplier === null ? self::SHOWN : PHP_INT_MAX;
        $lines = NotBilled::first($day, $supplier, $most)->groupBy('supplierId');

        return new self($day, Row::all(
            NotBilled::sums($day, $supplier),
            fn (Row $row): NotBilledSupplier => new NotBilledSupplier(
                $row->int('supplier_id'),
                $row->text('supplier'),
                $row->decimal('cents')->toInt(),
                $row->int('lines'),
                $lines[$row->int('supplier_id')] ?? new Collection,
            ),
        ));
    }

    /** Cents of all. */
    public function total(): int
    {
        return (int) $this->suppliers->sum(fn (NotBilledSupplier $supplier): int => $supplier->cents);
    }
}
