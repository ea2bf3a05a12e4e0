<?php

namespace App\Actions\Import;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;

/** Keeps that somebody took product data out as files: what leaves the house is known. */
final class TakeOut
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<string, int>  $rows  by file
     * @param  string  $of  what it was narrowed down to, such as "structure B of DRUM-20"; '' = all
     */
    public function handle(array $rows, string $of, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::TakenOut, $signed, Part::writing(
            function (Ledger $ledger) use ($rows, $of): void {
                $each = array_map(
                    fn (string $file, int $count): string => "{$file} ({$count})",
                    array_keys($rows),
                    $rows,
                );
                $ledger->says('Taken out as files: '.implode(', ', $each).($of === '' ? '.' : " of {$of}."));
            },
        ));
    }
}
