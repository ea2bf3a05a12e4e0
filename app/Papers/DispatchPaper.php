<?php

namespace App\Papers;

use App\Queries\Board\DispatchList;
use App\Wording\When;

/**
 * A dispatch list on paper: A4, in sequence, each row with its order's number as Code 128, to be scanned into the find
 * box.
 */
final class DispatchPaper
{
    private const WIDTHS = [11, 24, 24, 17, 38, 60, 14, 24, 27, 28];

    private const FIGURES = [0, 6];

    public static function pdf(DispatchList $list): string
    {
        $sheet = new Sheet('L', "Dispatch list {$list->title()}", self::WIDTHS, self::FIGURES, 8.5);
        self::page($sheet, $list);
        $rows = $list->table(false);
        foreach ($rows as $cells) {
            if ($sheet->isFull(185)) {
                self::page($sheet, $list);
            }
            $y = $sheet->row($cells);
            $sheet->barcode($cells[3], 10, $y + 6, 40);
            $sheet->endRow($y + 12.6, $y + 13, 267);
        }
        if ($rows === []) {
            $sheet->note('Nothing is planned here in this time.');
        }

        return $sheet->output();
    }

    private static function page(Sheet $sheet, DispatchList $list): void
    {
        $sheet->page($list->title(), 160);
        $sheet->says('Dispatch list, printed '.When::full(now()), 107);
        $sheet->head(DispatchList::HEAD, 7);
    }
}
