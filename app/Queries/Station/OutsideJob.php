<?php

namespace App\Queries\Station;

use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Handful;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;

/** A step whose pieces are at a supplier, and when each handful of them is due back. */
final readonly class OutsideJob
{
    /** @param  list<Handful>  $handfuls  oldest first */
    public function __construct(public StationJob $job, public string $supplier, public array $handfuls)
    {
    }

    /** @return Collection<int, self> what comes back first stands first */
    public static function all(Deliveries $deliveries): Collection
    {
        return self::read(StationSteps::open(), $deliveries);
    }

    /** @return Collection<int, self> those at one supplier */
    public static function at(int $supplier, Deliveries $deliveries): Collection
    {
        return self::read(StationSteps::open()->where('s.supplier_id', $supplier), $deliveries);
    }

    /** @return Collection<int, self> */
    private static function read(Builder $open, Deliveries $deliveries): Collection
    {
        $steps = $open
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->addSelect('v.name AS supplier')
            ->whereRaw('s.taken_in > s.good + s.scrap');
        $jobs = Row::all($steps, fn (Row $row): self => new self(StationJob::from($row), $row->text('supplier'), []));
        $handfuls = Away::of($jobs->map(fn (self $one): int => $one->job->id), $deliveries);

        return $jobs
            ->map(fn (self $one): self => new self($one->job, $one->supplier, $handfuls[$one->job->id] ?? []))
            ->sortBy(fn (self $one): int => $one->dueBack())
            ->values();
    }

    /** The UTC minute the first of them is due; at the end when nobody knows. */
    private function dueBack(): int
    {
        return $this->handfuls === [] ? PHP_INT_MAX : $this->handfuls[0]->back->at;
    }
}
