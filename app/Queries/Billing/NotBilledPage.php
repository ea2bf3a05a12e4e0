<?php

namespace App\Queries\Billing;

use Illuminate\Support\Collection;

/** What came and was not billed by the end of a day, by supplier. */
final readonly class NotBilledPage
{
    /** Of so many lines of a supplier the first are shown, unless he alone was asked for. */
    private const SHOWN = 12;

    /** @param  Collection<string, Collection<int, NotBilled>>  $suppliers  lines by name */
    private function __construct(public string $day, public Collection $suppliers, private bool $isOfOne)
    {
    }

    /** @param  int|null  $supplier  null = all of them */
    public static function on(string $day, ?int $supplier = null): self
    {
        return new self($day, NotBilled::on($day, $supplier)->groupBy('supplier'), $supplier !== null);
    }

    /**
     * @param  Collection<int, NotBilled>  $lines  of a supplier
     * @return Collection<int, NotBilled>
     */
    public function shown(Collection $lines): Collection
    {
        return $this->isOfOne ? $lines : $lines->take(self::SHOWN);
    }

    /** @param  Collection<int, NotBilled>  $lines  of a supplier */
    public function more(Collection $lines): int
    {
        return $lines->count() - $this->shown($lines)->count();
    }

    /**
     * What the page of one supplier is asked for by.
     *
     * @param  Collection<int, NotBilled>  $lines  of a supplier
     * @return array{on: string, supplier: int}
     */
    public function of(Collection $lines): array
    {
        return ['on' => $this->day, 'supplier' => (int) $lines->first()?->supplierId];
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
