<?php

namespace App\Queries\Billing;

use App\Reading\Row;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A period of the books that is closed: up to which day, when and by whom. */
final readonly class ClosedPeriod
{
    /** Five years of months. */
    private const SHOWN = 60;

    private function __construct(public string $endsOn, public CarbonImmutable $closedAt, public string $person)
    {
    }

    /** "Sat 31 Oct 2026" */
    public function day(): string
    {
        return When::dayOf($this->endsOn);
    }

    /** @return Collection<int, self>  the last first */
    public static function all(): Collection
    {
        $query = DB::table('periods AS p')
            ->join('people AS u', 'u.id', 'p.person_id')
            ->orderByDesc('p.ends_on')
            ->limit(self::SHOWN)
            ->select(['p.ends_on', 'p.closed_at', 'u.name AS person']);

        return Row::all($query, fn (Row $row): self => new self(
            $row->text('ends_on'),
            $row->moment('closed_at'),
            $row->text('person'),
        ));
    }
}
