<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Models\WorkCentre;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/**
 * A machine is down or a person away, until a time or until nobody knows when; and back again. The plan keeps up with
 * it at once.
 */
final class SayAbsent
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $machine  1..n; 0 = all of the work centre
     * @param  CarbonImmutable|null  $until  null = unknown
     *
     * @throws Refused
     */
    public function machine(
        int $workCentre,
        int $machine,
        CarbonImmutable $from,
        ?CarbonImmutable $until,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::Downtime,
            $signed,
            Part::writing(function (Ledger $ledger) use ($workCentre, $machine, $from, $until, $signed): void {
                Plan::lockLive();
                $centre = WorkCentre::query()->findOrFail($workCentre);
                self::assertSpan($from, $until);
                if ($machine < 0 || $machine > $centre->machines) {
                    throw Refused::because("{$centre->name} has {$centre->machines} machines.", 'machine');
                }
                foreach ($machine === 0 ? range(1, $centre->machines) : [$machine] as $one) {
                    $who = ['work_centre_id' => $workCentre, 'machine' => $one];
                    $until !== null ?: self::assertThere($who, "{$centre->name} {$one}");
                    $this->write('downtimes', $who, self::span($from, $until), $ledger, $signed);
                }
                $which = $machine === 0 || $centre->machines === 1 ? '' : " {$machine}";
                $ledger->says("{$centre->name}{$which} is down ".self::words($from, $until).self::why($signed));
            }),
        );
    }

    /**
     * @param  array<string, int>  $who
     *
     * @throws Refused when it is down already, and nobody knows until when
     */
    private static function assertThere(array $who, string $machine): void
    {
        if (self::isAway('downtimes', $who)) {
            $says = "{$machine} is down already, until nobody knows when. Say that it is back first.";
            throw Refused::because($says, 'machine');
        }
    }

    /** @throws Refused */
    public function person(int $person, CarbonImmutable $from, ?CarbonImmutable $until, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Absence,
            $signed,
            Part::writing(function (Ledger $ledger) use ($person, $from, $until, $signed): void {
                Plan::lockLive();
                $working = DB::table('people')->whereNotNull('work_centre_id')->where('is_there', true);
                $name = $working->where('id', $person)->value('name')
                    ?? throw Refused::because('Choose a person.', 'person');
                self::assertSpan($from, $until);
                $who = ['person_id' => $person];
                if ($until === null && self::isAway('absences', $who)) {
                    throw Refused::because(
                        "{$name} is away already, until nobody knows when. Say that {$name} is back first.",
                        'person',
                    );
                }
                $this->write('absences', $who, self::span($from, $until), $ledger, $signed);
                $ledger->says("{$name} is away ".self::words($from, $until).self::why($signed));
            }),
        );
    }

    /**
     * Until nobody knows when.
     *
     * @param  array<string, int>  $who
     */
    private static function isAway(string $table, array $who): bool
    {
        return DB::table($table)->where($who)->whereNull('until_at')->whereNull('ended_at')->exists();
    }

    /**
     * @param  array<string, int>  $who
     * @param  array{from_at: string, until_at: string|null}  $span
     */
    private function write(string $table, array $who, array $span, Ledger $ledger, Signed $signed): void
    {
        DB::table($table)->insert([
            ...$who,
            ...$span,
            'reason' => $signed->reason,
            'booking_id' => $ledger->booking->id,
        ]);
    }

    private static function why(Signed $signed): string
    {
        return $signed->reason === '' ? '.' : ": {$signed->reason}.";
    }

    /**
     * @param  'downtimes'|'absences'  $what
     *
     * @throws Refused when it is over already
     */
    public function back(string $what, int $id, Signed $signed): Booking
    {
        return $this->bookings->once(
            $what === 'downtimes' ? BookingKind::Downtime : BookingKind::Absence,
            $signed,
            Part::writing(function (Ledger $ledger) use ($what, $id): void {
                Plan::lockLive();
                $row = DB::table($what)->where('id', $id)->whereNull('ended_at')->first()
                    ?? throw Refused::because('That is over already.');
                DB::table($what)
                    ->where('id', $id)
                    ->update(['ended_at' => now()]);
                $name = $what === 'absences'
                        ? DB::table('people')->where('id', $row->person_id)->value('name')
                        : DB::table('work_centres')->where('id', $row->work_centre_id)->value('name')
                            ." {$row->machine}";
                $ledger->says("{$name} is back.");
            }),
        );
    }

    private static function assertSpan(CarbonImmutable $from, ?CarbonImmutable $until): void
    {
        if ($until !== null && $until <= $from) {
            throw Refused::because('That is over before it begins.', 'until');
        }
        if ($until !== null && $until->isPast()) {
            throw Refused::because('That is over already. Type a time that is still to come.', 'until');
        }
    }

    /** @return array{from_at: string, until_at: string|null} */
    private static function span(CarbonImmutable $from, ?CarbonImmutable $until): array
    {
        return ['from_at' => $from->utc()->format('Y-m-d H:i:s'), 'until_at' => $until?->utc()->format('Y-m-d H:i:s')];
    }

    private static function words(CarbonImmutable $from, ?CarbonImmutable $until): string
    {
        $zone = config()->string('pace.zone');
        $begin = $from->isFuture() ? 'from '.self::said($from->setTimezone($zone)).' ' : '';
        $end = $until?->setTimezone($zone);

        return $begin.'until '.match (true) {
            $end === null => 'nobody knows when',
            // whoever is away "until Friday" is there again on Saturday
            $end->equalTo($end->startOfDay()) => 'the end of '.self::said($end->subDay(), isDay: true),
            default => self::said($end),
        };
    }

    /** "Fri 27 Nov 06:30"; with its year where that is another. */
    private static function said(CarbonImmutable $at, bool $isDay = false): string
    {
        return $at->format('D j M'.($at->isCurrentYear() ? '' : ' Y').($isDay ? '' : ' H:i'));
    }
}
