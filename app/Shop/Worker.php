<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Routing\Qualifications;

/** Somebody who works at a work centre. */
final readonly class Worker
{
    private function __construct(
        public int $id,
        public string $name,
        public int $workCentreId,
        public int $calendarId,
        public Qualifications $qualifications,
    ) {
    }

    /** @return Collection<int, self> those who are there still */
    public static function all(): Collection
    {
        return Row::all(
            DB::table('people')
                ->whereNotNull('work_centre_id')
                ->where('is_there', true)
                ->orderBy('id')
                ->select(['id', 'name', 'work_centre_id', 'calendar_id', 'qualifications']),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('name'),
                $row->int('work_centre_id'),
                $row->int('calendar_id'),
                Qualifications::read($row->text('qualifications')),
            ),
        );
    }
}
