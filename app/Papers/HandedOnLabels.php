<?php

namespace App\Papers;

use App\Queries\Bookings\HandedOnRow;
use App\Wording\Figures;
use Illuminate\Support\Collection;

/** A label for what a booking took to each order, on A4 to be cut: the order and where it is waited for. */
final class HandedOnLabels
{
    private const HEIGHT = 50; // mm

    /** @param  Collection<int, HandedOnRow>  $rows */
    public static function pdf(int $booking, Collection $rows): string
    {
        $title = "Labels of booking {$booking}";
        $sheet = new Sheet('P', $title, [190], [], 11);
        self::page($sheet, $title);
        foreach ($rows as $row) {
            if ($sheet->isFull(240)) {
                self::page($sheet, $title);
            }
            $y = $sheet->row(["Order {$row->order}, {$row->product}"]);
            $sheet->barcode($row->order, 12, $y + 8, 80, 14, 0.4);
            $sheet->endRow($y + self::HEIGHT - 2, $y + 23, 190);
            $pieces = Figures::amount((string) $row->quantity);
            $sheet->note($row->where(), 'B');
            $sheet->note("{$pieces} {$row->unit} {$row->item} {$row->itemNumber}", 'B');
            $sheet->note($row->lots());
            $sheet->endRow($y + self::HEIGHT - 2, $y + self::HEIGHT, 190);
        }

        return $sheet->output();
    }

    private static function page(Sheet $sheet, string $title): void
    {
        $sheet->page($title, 190, 10);
        $sheet->endRow(21, 22, 190);
    }
}
