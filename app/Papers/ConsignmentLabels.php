<?php

namespace App\Papers;

use App\Queries\Outside\ConsignmentPage;
use App\Queries\Outside\SentLine;
use App\Wording\Figures;

/** A label for each line of a consignment, on A4 to be cut: the order's number as Code 128. */
final class ConsignmentLabels
{
    private const HEIGHT = 44; // mm

    public static function pdf(ConsignmentPage $page): string
    {
        $sheet = new Sheet('P', "Labels {$page->consignment->number}", [190], [], 11);
        $sheet->page("{$page->consignment->number} to {$page->consignment->supplier->name}", 190, 10);
        $sheet->endRow(21, 22, 190);
        foreach ($page->lines->filter(fn (SentLine $line): bool => $line->pieces->sent->isPositive()) as $line) {
            if ($sheet->isFull(250)) {
                $sheet->page("{$page->consignment->number} to {$page->consignment->supplier->name}", 190, 10);
                $sheet->endRow(21, 22, 190);
            }
            $y = $sheet->row(["Order {$line->order}, {$line->step}"]);
            $sheet->barcode($line->code(), 12, $y + 8, 80, 14, 0.4);
            $sheet->endRow($y + self::HEIGHT - 2, $y + 23, 190);
            $pieces = Figures::amount((string) $line->pieces->sent);
            $sheet->note("{$pieces} {$line->unit} {$line->item} {$line->itemNumber}", 'B');
            $sheet->note("{$page->consignment->number}, line {$line->position}, property of ".self::owner($page));
            $sheet->endRow($y + self::HEIGHT - 2, $y + self::HEIGHT, 190);
        }

        return $sheet->output();
    }

    /** The name without the address. */
    private static function owner(ConsignmentPage $page): string
    {
        return trim(explode("\n", $page->from)[0]);
    }
}
