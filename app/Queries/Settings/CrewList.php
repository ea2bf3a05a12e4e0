<?php

namespace App\Queries\Settings;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Somebody who works at a work centre, in the list of all. */
final readonly class CrewList
{
    private function __construct(
        public int $id,
        public int $version,
        public string $number,
        public string $name,
        public ?int $workCentreId,
        public ?int $calendarId,
        public bool $isThere,
        public string $qualifications,
    ) {
    }

    /** @return Collection<int, self> by work centre; who left, last */
    public static function all(): Collection
    {
        return Row::all(
            DB::table('people AS p')
                ->leftJoin('work_centres AS w', 'w.id', 'p.work_centre_id')
                ->whereNotNull('p.number')
                ->orderByDesc('p.is_there')
                ->orderBy('w.code')
                ->orderBy('p.name')
                ->select(['p.id', 'p.version', 'p.number', 'p.name', 'p.work_centre_id', 'p.calendar_id'])
                ->addSelect(['p.is_there', 'p.qualifications']),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->int('version'),
                $row->text('number'),
                $row->text('name'),
                $row->intOrNull('work_centre_id'),
                $row->intOrNull('calendar_id'),
                $row->flag('is_there'),
                $row->text('qualifications'),
            ),
        );
    }
}
