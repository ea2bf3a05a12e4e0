<?php

namespace App\Actions\Settings;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Settings\Numbered;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Says how documents and serials are numbered from now on; what has a number keeps it. */
final class KeepNumberings
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<string, TypedNumbering>  $typed  by what is numbered (`Numbered`)
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public function handle(array $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($typed): void {
                $wrong = $said = [];
                $changes = new ProductChanges($ledger->booking->id);
                foreach (Numbered::cases() as $what) {
                    [$prefix, $next] = Numbers::locked($what->value);
                    $is = $typed[$what->value] ?? new TypedNumbering($prefix, $next);
                    $was = new TypedNumbering($prefix, $next);
                    $highest = $is->says() === $was->says() ? 0 : $this->highest($what, $is->prefix);
                    if ($is->next <= $highest) {
                        $wrong["next_{$what->value}"] = "{$is->prefix}{$highest} is given already: {$is->prefix}"
                            .($highest + 1).' is the first that is free.';
                    } elseif ($is->says() !== $was->says()) {
                        $changes->field('settings', 0, 'shop', "next {$what->label()}", $was->says(), $is->says());
                        $said[$what->value] = $is;
                    }
                }
                $this->write($wrong, $said);
                $changes->write();
                $words = [];
                foreach ($said as $what => $is) {
                    $words[] = 'next '.Numbered::from($what)->label()." {$is->says()}";
                }
                $ledger->says('Numbered from now on: '.implode(', ', $words).'.');
            },
        ));
    }

    /** The highest number given under a prefix; 0 = none. */
    private function highest(Numbered $what, string $prefix): int
    {
        [$table, $column] = $what->column();
        $digits = "SUBSTRING({$column}, CHAR_LENGTH(?) + 1)";
        $found = DB::table($table)
            ->whereRaw("LEFT({$column}, CHAR_LENGTH(?)) = ?", [$prefix, $prefix])
            ->whereRaw("{$digits} REGEXP '^[0-9]{1,11}$'", [$prefix])
            ->selectRaw("MAX(CAST({$digits} AS UNSIGNED)) AS highest", [$prefix])
            ->value('highest');

        return is_numeric($found) ? (int) $found : 0;
    }

    /**
     * @param  array<string, string>  $wrong
     * @param  array<string, TypedNumbering>  $differ
     *
     * @throws Refused
     */
    private function write(array $wrong, array $differ): void
    {
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        if ($differ === []) {
            throw Refused::because('Nothing differs from what is there.');
        }
        foreach ($differ as $what => $is) {
            DB::table('numberings')->where('code', $what)->update(['prefix' => $is->prefix, 'next' => $is->next]);
        }
    }
}
