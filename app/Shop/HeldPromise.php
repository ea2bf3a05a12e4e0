<?php

namespace App\Shop;

use App\Reading\Row;

/**
 * One date promised and held: the jobs that keep its time, as they are kept in its row.
 *
 * @phpstan-type HeldStep array{id: int, centre: int|null, run: int, wait: int, move: int, material: int,
 *     after: list<int>, setup: int, start: int, end: int, machine: int|null}
 * @phpstan-type HeldJob array{id: int, steps: list<HeldStep>}
 */
final readonly class HeldPromise
{
    /** @param  list<HeldJob>  $jobs */
    private function __construct(public int $id, public string $for, public array $jobs)
    {
    }

    public static function from(Row $row): self
    {
        /** @var list<HeldJob> $jobs written by HoldPromise, and by the plan that moved them */
        $jobs = json_decode($row->text('jobs'), true, flags: JSON_THROW_ON_ERROR);

        return new self($row->int('id'), $row->text('for'), $jobs);
    }

    /** @return list<HeldStep> of all its jobs */
    public function steps(): array
    {
        return array_merge(...array_column($this->jobs, 'steps'));
    }
}
