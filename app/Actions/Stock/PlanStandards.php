<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\StandardsToCome;
use KeepPace\Core\Refused;

/**
 * Standard costs for a day ahead: decided now, taken on that day by itself. What stock is worth changes then and not
 * before.
 */
final class PlanStandards
{
    /** Characters of why it could not be taken. */
    private const SAYS = 500;

    public function __construct(private readonly Bookings $bookings, private readonly TakeStandards $take)
    {
    }

    /**
     * @param  array<int, StandardTaken>  $taken  by item
     * @param  string  $from  "YYYY-MM-DD", after today
     *
     * @throws Refused with a sentence beside each item that is wrong
     */
    public function handle(array $taken, string $from, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Revalued, $signed, new Part(
            Needs::items(array_keys($taken)),
            function (Ledger $ledger) use ($taken, $from): void {
                if ($from <= self::today()) {
                    throw Refused::because('Choose a day after today.', 'booked_on');
                }
                $this->take->assertCanBe($taken);
                StandardsToCome::query()->create([
                    'booking_id' => $ledger->booking->id,
                    'from_on' => $from,
                    'costs' => array_map(
                        fn (StandardTaken $one): array => [$one->before, $one->after],
                        $taken,
                    ),
                ]);
                $ledger->says('Standard costs of '.count($taken).' items will be taken on '.Said::day($from).'.');
            },
        ));
    }

    /** @throws Refused when they are taken or dropped already */
    public function drop(int $id, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Revalued, $signed, new Part(
            Needs::nothing(),
            function (Ledger $ledger) use ($id): void {
                $come = StandardsToCome::open()->lockForUpdate()->find($id)
                    ?? throw Refused::because('These standard costs are taken or dropped already.');
                $come->update(['dropped_by_id' => $ledger->booking->id]);
                $ledger->says('Standard costs for '.Said::day($come->from_on).' are not taken.');
            },
        ));
    }

    /**
     * Takes those whose day has come, signed by who decided it.
     *
     * @return int how many bookings it made
     */
    public function takeDue(): int
    {
        $made = 0;
        $due = StandardsToCome::open()
            ->with('booking.person')
            ->where('from_on', '<=', self::today())
            ->orderBy('from_on');
        foreach ($due->orderBy('id')->get() as $come) {
            $decided = $come->booking;
            $signed = new Signed("standards-{$come->id}", $decided->person, $decided->reason, self::today());
            try {
                $booking = $this->take->handle(self::taken($come), $signed);
                $come->update(['taken_by_id' => $booking->id, 'refused' => '']);
                $made++;
            } catch (Refused $refused) {
                $says = implode(' ', $refused->reasons);
                $come->update(['refused' => mb_strimwidth($says, 0, self::SAYS, '…')]);
            }
        }

        return $made;
    }

    /** @return array<int, StandardTaken> by item */
    private static function taken(StandardsToCome $come): array
    {
        return array_map(fn (array $one): StandardTaken => new StandardTaken($one[0], $one[1]), $come->costs);
    }

    private static function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }
}
