<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What is down and who is away, now or ahead; the work centres and people to choose from. */
final readonly class AbsenceList
{
    /**
     * @param  Collection<int, Absence>  $down
     * @param  Collection<int, Absence>  $away
     * @param  Collection<int, string>  $centres  names by id
     * @param  Collection<int, string>  $people  names and work centres by id
     * @param  int  $machine  to begin with at the chosen centre: 1 where it has several, 0 for all of it
     */
    private function __construct(
        public Collection $down,
        public Collection $away,
        public Collection $centres,
        public Collection $people,
        public int $machine,
    ) {
    }

    /** @param  int  $centre  the work centre somebody came from; 0 = none */
    public static function now(int $centre): self
    {
        $centres = DB::table('work_centres')->orderBy('id')->get(['id', 'name', 'machines']);

        return new self(
            Row::all(self::down(), Absence::machine(...)),
            Row::all(self::away(), Absence::person(...)),
            $centres->pluck('name', 'id'),
            self::people(),
            ($centres->firstWhere('id', $centre)->machines ?? 0) > 1 ? 1 : 0,
        );
    }

    /** "No machine is down. 2 people are away." */
    public function says(): string
    {
        $count = fn (int $count, string $one, string $many): string => match ($count) {
            0 => "No {$one}.",
            1 => "1 {$one}.",
            default => "{$count} {$many}.",
        };

        return $count($this->down->count(), 'machine is down', 'machines are down').' '
            .$count($this->away->count(), 'person is away', 'people are away');
    }

    private static function down(): Builder
    {
        return self::open('downtimes')
            ->join('work_centres AS w', 'w.id', 'a.work_centre_id')
            ->addSelect('w.name', 'w.machines');
    }

    private static function away(): Builder
    {
        return self::open('absences')
            ->join('people AS p', 'p.id', 'a.person_id')
            ->join('work_centres AS w', 'w.id', 'p.work_centre_id')
            ->addSelect('p.name', 'w.name AS centre');
    }

    private static function open(string $table): Builder
    {
        return DB::table("{$table} AS a")
            ->join('bookings AS b', 'b.id', 'a.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->whereNull('a.ended_at')
            ->where(fn (Builder $end) => $end->whereNull('a.until_at')->orWhere('a.until_at', '>', now()))
            ->orderBy('a.from_at')
            ->orderBy('a.id')
            ->select(['a.*', 'u.name AS by']);
    }

    /** @return Collection<int, string> */
    private static function people(): Collection
    {
        $people = DB::table('people AS p')
            ->join('work_centres AS w', 'w.id', 'p.work_centre_id')
            ->where('p.is_there', true)
            ->orderBy('w.id')
            ->orderBy('p.name')
            ->select(['p.id', 'p.name', 'w.name AS centre']);

        return Row::all($people, fn (Row $row): Row => $row)
            ->mapWithKeys(fn (Row $row): array => [$row->int('id') => "{$row->text('name')}, {$row->text('centre')}"]);
    }
}
