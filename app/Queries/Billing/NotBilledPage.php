<?php

namespace App\Queries\Billing;

use Illuminate\Support\Collection;

/** What came and was not billed by the end of a day, by supplier. */
final readonly class NotBilledPage
{
    /** @param  Collection<string, Collection<int, NotBilled>>  $suppliers  lines by name */
    private function __construct(public string $day, public Collection $suppliers)
    {
    }

    public static function on(string $day): self
    {
        return new self($day, NotBilled::on($day)->groupBy('supplier'));
    }

    /** Cents of all. */
    public function total(): int
    {
        return (int) $this->suppliers->sum($this->sum(...));
    }

    /** @param  Collection<int, NotBilled>  $lines */
    public function sum(Collection $lines): int
    {
        return (int) $lines->sum(fn (NotBilled $line): int => $line->cents);
    }
}
