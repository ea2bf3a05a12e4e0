<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Plan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\Promise\Promised;
use KeepPace\Core\Scheduling\Step;

/**
 * Holds the time on machines a promised date stands on for some hours, so that nobody else sells it; and lets it go.
 */
final class HoldPromise
{
    public function __construct(private readonly Bookings $bookings, private readonly AskPromise $ask)
    {
    }

    /**
     * @throws Refused when nothing has to be made, or the date is not to be had any more
     */
    public function handle(
        DateToHold $date,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(BookingKind::PromiseHeld, $signed, Part::writing(function (Ledger $ledger) use (
            $date,
            $signed,
        ): void {
            Plan::lockLive(); // two who promise one gap: one after the other
            $answer = $this->ask->handle($date->itemId, $date->quantity, $signed->person);
            $promised = $date->usesSlack ? $answer->usingSlack() : $answer->movingNobody();
            if ($promised === null) {
                throw PlanRefused::allInStock();
            }
            $finish = CarbonImmutable::createFromTimestamp($promised->finish * 60, 'UTC');
            if ($date->said !== null && $finish > $date->said->addMinutes(60)) {
                throw PlanRefused::dateGone(self::said($finish));
            }
            $this->keep($ledger, $date, $answer, $promised, $finish, $signed);
        }));
    }

    private static function said(CarbonImmutable $finish): string
    {
        return $finish->setTimezone(config()->string('pace.zone'))->format('D j M H:i');
    }

    /** Its jobs stay in the plan until it is released, or time is up. */
    private function keep(
        Ledger $ledger,
        DateToHold $date,
        PromiseAnswer $answer,
        Promised $promised,
        CarbonImmutable $finish,
        Signed $signed,
    ): void {
        $item = Item::query()->with('unit')->findOrFail($date->itemId);
        $id = DB::table('promises')->insertGetId([
            'booking_id' => $ledger->booking->id,
            'person_id' => $signed->person->id,
            'item_id' => $date->itemId,
            'quantity' => (string) $answer->made,
            'for' => $date->for,
            'finish_at' => $finish,
            'held_until' => now()->addHours($date->hours),
            'jobs' => '[]',
        ]);
        $jobs = json_encode(self::jobs($id, $answer->jobs, $promised));
        DB::table('promises')->where('id', $id)->update(['jobs' => $jobs]);
        $what = Amount::plain($answer->made)." {$item->unit->code} {$item->name}";
        $for = $date->for === '' ? '.' : ", for {$date->for}.";
        $ledger->says("Held for {$date->hours} h: {$what}, finished ".self::said($finish).$for);
    }

    /** @throws Refused */
    public function release(int $promise, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::PromiseHeld, $signed, Part::writing(
            function (Ledger $ledger) use ($promise): void {
                Plan::lockLive();
                $row = DB::table('promises AS p')
                    ->join('items AS i', 'i.id', 'p.item_id')
                    ->where('p.id', $promise)
                    ->whereNull('p.released_at')
                    ->where('p.held_until', '>', now())
                    ->first(['p.*', 'i.name']) ?? throw PlanRefused::notHeld();
                DB::table('promises')
                    ->where('id', $promise)
                    ->update(['released_at' => now()]);
                $ledger->says("No longer held: {$row->name}".($row->for === '' ? '.' : " for {$row->for}."));
            },
        ));
    }

    /**
     * Numbered below zero. They stand a minute early, so that in the sequence they go before those who make room for
     * them.
     *
     * @param  list<Job>  $jobs
     * @return list<array<string, mixed>>
     */
    private static function jobs(int $promise, array $jobs, Promised $promised): array
    {
        $number = [];
        foreach ($jobs as $n => $job) {
            $number[$job->id] = -($promise * 1000 + $n + 1);
        }
        $at = 0;

        return array_map(
            fn (Job $job): array => [
                'id' => $number[$job->id],
                'steps' => array_map(function (Step $step) use ($promise, $number, $promised, &$at): array {
                    $planned = $promised->schedule->steps[$step->id];

                    return [
                        'id' => -($promise * 1000 + ++$at),
                        'centre' => $step->workCentre,
                        'run' => $step->minutes,
                        'setup' => $step->setup,
                        'wait' => $step->wait,
                        'move' => $step->move,
                        'material' => $step->materialAt,
                        'after' => array_map(fn (int $other): int => $number[$other] ?? $other, $step->afterJobs),
                        'start' => $planned->start - 1,
                        'end' => $planned->end,
                        'machine' => $planned->machine,
                    ];
                }, $job->steps),
            ],
            $jobs,
        );
    }
}
