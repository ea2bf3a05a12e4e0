<?php

namespace App\Actions\Settings;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Settings\ReasonKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Says which reasons are offered where one is asked for; another can still be typed. */
final class KeepReasons
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<string, list<string>>  $typed  in the order they are offered, by kind
     *
     * @throws Refused when nothing differs
     */
    public function handle(array $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed): void {
                DB::table('reasons')->lockForUpdate()->pluck('id');
                $changes = new ProductChanges($ledger->booking->id);
                $said = [];
                foreach (ReasonKind::cases() as $kind) {
                    $is = $typed[$kind->value] ?? [];
                    $was = $kind->reasons();
                    if ($is !== $was) {
                        $this->write($kind, $is);
                        $field = "reasons for {$kind->label()}";
                        $changes->field('settings', 0, 'shop', $field, implode(', ', $was), implode(', ', $is));
                        $said[] = count($is)." for {$kind->label()}";
                    }
                }
                if ($said === []) {
                    throw Refused::because('Nothing differs from what is there.');
                }
                $changes->write();
                $ledger->says('Reasons offered: '.implode(', ', $said).'.');
            },
        ));
    }

    /** @param  list<string>  $reasons */
    private function write(ReasonKind $kind, array $reasons): void
    {
        DB::table('reasons')->where('kind', $kind->value)->delete();
        foreach ($reasons as $place => $says) {
            DB::table('reasons')->insert(['kind' => $kind->value, 'position' => $place + 1, 'says' => $says]);
        }
    }
}
