<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Queries\Board\PlanComparison;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\PlanRefused;

/** A person starts a search for a better plan; it runs on the queue. */
final class StartSearch
{
    /** One that nobody heard of for so long is taken to have broken off. */
    private const SILENT_SECONDS = 120;

    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $movedWeight  what a step that starts at another time than planned costs, in minutes late
     *
     * @throws Refused when one runs already
     */
    public function handle(int $seconds, int $movedWeight, int $seed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::WhatIf, $signed, Part::writing(function (Ledger $ledger) use (
            $seconds,
            $movedWeight,
            $seed,
            $signed,
        ): void {
            Plan::lockLive();
            $running = DB::table('searches')
                ->whereIn('state', ['waiting', 'running'])
                ->where('updated_at', '>', now()->subSeconds(self::SILENT_SECONDS))
                ->first();
            if ($running !== null) {
                throw PlanRefused::searching();
            }
            WhatIf::assertRoom(); // for what it finds
            $id = DB::table('searches')->insertGetId([
                'person_id' => $signed->person->id,
                'seconds' => $seconds,
                'seed' => $seed,
                'moved_weight' => $movedWeight,
                'facts_id' => PlanComparison::facts(),
                'created_at' => now(),
                'updated_at' => now(),
            ]);
            $ledger->says("Search started: {$seconds} s, seed {$seed}.");
            DB::afterCommit(fn () => event(new SearchAsked($id)));
        }));
    }

    /** Takes the best found so far. */
    public function stop(int $search): void
    {
        DB::table('searches')->where('id', $search)->whereIn('state', ['waiting', 'running'])->update(['stop' => true]);
    }
}
