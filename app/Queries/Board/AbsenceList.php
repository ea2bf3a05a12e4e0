<?php

namespace App\Queries\Board;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What is down and who is away, now or ahead; the work centres and people to choose from; what the last such deed did. */
final readonly class AbsenceList
{
    /**
     * @param  Collection<int, \stdClass>  $down
     * @param  Collection<int, \stdClass>  $away
     * @param  Collection<int, \stdClass>  $centres
     * @param  Collection<int, \stdClass>  $people
     */
    private function __construct(public Collection $down, public Collection $away, public Collection $centres, public Collection $people)
    {
    }

    public static function now(): self
    {
        $open = fn (string $table) => DB::table("{$table} AS a")->join('bookings AS b', 'b.id', 'a.booking_id')->join('people AS u', 'u.id', 'b.user_id')
            ->leftJoin('plan_effects AS e', 'e.booking_id', 'a.booking_id')->whereNull('a.ended_at')
            ->where(fn ($query) => $query->whereNull('a.until_at')->orWhere('a.until_at', '>', now()))->orderBy('a.from_at')
            ->select(['a.*', 'u.name AS by', 'e.late']);

        return new self($open('downtimes')->join('work_centres AS w', 'w.id', 'a.work_centre_id')->addSelect('w.name', 'w.machines')->get(),
            $open('absences')->join('people AS p', 'p.id', 'a.person_id')->join('work_centres AS w', 'w.id', 'p.work_centre_id')->addSelect('p.name', 'w.name AS centre')->get(),
            DB::table('work_centres')->orderBy('id')->get(['id', 'name', 'machines']),
            DB::table('people AS p')->join('work_centres AS w', 'w.id', 'p.work_centre_id')->where('p.is_there', true)->orderBy('w.id')->orderBy('p.name')->get(['p.id', 'p.name', 'w.name AS centre']));
    }
}
