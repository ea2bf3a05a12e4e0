<?php

namespace App\Papers;

use App\Queries\Outside\ConsignmentPage;
use App\Queries\Outside\SentLine;
use App\Queries\Outside\SentPart;
use App\Wording\Figures;
use App\Wording\When;

/** What goes along with a consignment: A4, without prices, its number and each order's as Code 128. */
final class PackingList
{
    private const HEAD = ['Line', 'Order', 'Item', 'What', 'Work', 'Pieces', 'Unit', 'Back on'];

    private const WIDTHS = [12, 22, 28, 46, 34, 18, 12, 18];

    private const FIGURES = [5];

    public static function pdf(ConsignmentPage $page): string
    {
        $sheet = new Sheet('P', "Packing list {$page->consignment->number}", self::WIDTHS, self::FIGURES, 9);
        self::page($sheet, $page);
        foreach ($page->lines->filter(fn (SentLine $line): bool => $line->pieces->sent->isPositive()) as $line) {
            ! $sheet->isFull(265) ?: self::page($sheet, $page);
            $y = $sheet->row(self::cells($line));
            $sheet->barcode($line->code(), 22, $y + 6, 50);
            $sheet->endRow($y + 13.4, $y + 14, 190);
        }
        foreach ($page->parts->filter(fn (SentPart $part): bool => $part->amounts->sent->isPositive()) as $part) {
            ! $sheet->isFull(265) ?: self::page($sheet, $page);
            $y = $sheet->row(self::part($part));
            $sheet->barcode($part->lot === '' ? $part->itemNumber : $part->lot, 22, $y + 6, 50);
            $sheet->endRow($y + 13.4, $y + 14, 190);
        }
        $page->consignment->note === '' ?: $sheet->note($page->consignment->note);

        return $sheet->output();
    }

    /** @return list<string> */
    private static function cells(SentLine $line): array
    {
        return [
            (string) $line->position,
            $line->order,
            $line->itemNumber,
            $line->item,
            $line->step,
            Figures::amount((string) $line->pieces->sent),
            $line->unit,
            When::day($line->given),
        ];
    }

    /** @return list<string> */
    private static function part(SentPart $part): array
    {
        return [
            (string) $part->position,
            $part->line,
            $part->itemNumber,
            $part->item,
            $part->lot,
            Figures::amount((string) $part->amounts->sent),
            $part->unit,
            '',
        ];
    }

    private static function page(Sheet $sheet, ConsignmentPage $page): void
    {
        $sheet->page("Packing list {$page->consignment->number}", 90, 10);
        $sheet->barcode($page->consignment->number, 105, 10, 50, 8, 0.3);
        $sheet->says('sent '.When::full($page->consignment->sent_at), 40, 160);
        $to = $page->consignment->supplier;
        foreach ([$page->from, "To {$to->name}", $to->address] as $words) {
            foreach (preg_split('/\R/', $words) ?: [] as $line) {
                trim($line) === '' ?: $sheet->note(trim($line));
            }
        }
        $sheet->note('');
        $sheet->head(self::HEAD, 8);
    }
}
