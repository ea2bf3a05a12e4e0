<?php

namespace App\Actions\Settings;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Settings\Setting;
use App\Settings\Settings;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Sets what the shop goes by; the plan follows. */
final class KeepSettings
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<string, string>  $typed  by name of the setting
     * @param  int  $version  of what was seen
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $typed, int $version, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed, $version): void {
                DB::table('settings')->lockForUpdate()->pluck('id');
                Settings::readAnew();
                if (Settings::version() !== $version) {
                    throw Refused::because(
                        'What the shop goes by was changed meanwhile. Nothing of yours is lost: look at what is there '
                            .'now, then send again.',
                    );
                }
                $differ = $this->differing($typed);
                $changes = new ProductChanges($ledger->booking->id);
                foreach ($differ as $name => [$setting, $before, $after]) {
                    DB::table('settings')->updateOrInsert(['name' => $name], ['value' => $after]);
                    $changes->field('settings', 0, 'shop', $setting->label(), $before, $after);
                }
                $changes->write();
                Settings::readAnew();
                $said = array_map(fn (array $one): string => "{$one[0]->label()}: {$one[0]->says($one[2])}", $differ);
                $ledger->says('Set: '.implode('; ', $said).'.');
            },
        ));
    }

    /**
     * @param  array<string, string>  $typed
     * @return array<string, array{Setting, string, string}> setting, before and after, by its name
     *
     * @throws Refused
     */
    private function differing(array $typed): array
    {
        $wrong = $differ = [];
        foreach (Setting::cases() as $setting) {
            $after = $typed[$setting->value] ?? null;
            $says = $after === null ? null : $setting->wrong($after);
            if ($says !== null) {
                $wrong[$setting->value] = $says;
            } elseif ($after !== null && $after !== Settings::text($setting)) {
                $differ[$setting->value] = [$setting, Settings::text($setting), $after];
            }
        }
        $from = $typed[Setting::SaturdayFrom->value] ?? '';
        $to = $typed[Setting::SaturdayTo->value] ?? '';
        if ($wrong === [] && $to !== '' && $to <= $from) {
            $wrong[Setting::SaturdayTo->value] = 'It ends after it begins.';
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }

        return $differ !== [] ? $differ : throw Refused::because('Nothing differs from what is there.');
    }
}
