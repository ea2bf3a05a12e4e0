<?php

namespace App\Papers;

use App\Queries\Builds\BuildPage;
use App\Queries\Builds\BuildPart;
use App\Wording\Figures;
use App\Wording\When;

/** For the fitter: what to fetch for so many of a build, and what comes back. */
final class BuildPaper
{
    private const HEAD = ['', 'Part', 'To fetch', 'Unit', 'Used so far', 'Lot or serial'];

    private const WIDTHS = [10, 80, 24, 16, 24, 36];

    private const FIGURES = [2, 4];

    private const LAST = 276; // mm from the top

    public static function pdf(BuildPage $page): string
    {
        $number = (string) $page->order?->number;
        $sheet = new Sheet('P', "Build {$number}", self::WIDTHS, self::FIGURES, 9);
        self::page($sheet, $page, $number);
        foreach ($page->parts as $part) {
            if ($sheet->isFull(self::LAST)) {
                self::page($sheet, $page, $number);
            }
            $y = $sheet->row(self::cells($page, $part));
            $sheet->box(12, $y + 1);
            $sheet->endRow($y + 7, $y + 7.6, 190);
        }
        foreach ($page->back as $line) {
            $amount = Figures::amount((string) $page->comes($line));
            $sheet->note("Comes back: {$amount} {$line->unit} {$line->itemNumber} {$line->item}", 'I');
        }

        return $sheet->output();
    }

    /** @return list<string> */
    private static function cells(BuildPage $page, BuildPart $part): array
    {
        return [
            '',
            "{$part->number} {$part->name}",
            Figures::amount((string) $page->due($part)),
            $part->unit,
            $part->used->isZero() ? '' : Figures::amount((string) $part->used),
            $part->takesCodes() ? '_______________' : '',
        ];
    }

    private static function page(Sheet $sheet, BuildPage $page, string $number): void
    {
        $sheet->page("Build {$number}", 70, 10);
        $sheet->barcode($number, 80, 10, 50, 8, 0.3);
        $sheet->says('printed '.When::full(now()), 70, 130);
        $now = Figures::amount((string) $page->now);
        $asked = Figures::amount((string) $page->asked);
        $reference = $page->order?->reference;
        $sheet->note(
            "{$now} of {$asked} {$page->item->unit->code} {$page->item->label()}"
                .($reference === null || $reference === '' ? '' : ", {$reference}"),
        );
        $sheet->head(self::HEAD, 8);
    }
}
