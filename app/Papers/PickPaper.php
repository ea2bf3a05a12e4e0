<?php

namespace App\Papers;

use App\Queries\Usage\PickList;
use App\Queries\Usage\PickRow;
use App\Wording\Figures;
use App\Wording\When;

/** A pick list on paper: A4, by place, each lot or item as Code 128 to be scanned when it is taken. */
final class PickPaper
{
    private const HEAD = ['Place', 'Item', 'Lot or serial', 'Quantity', '', 'Order', 'Step'];

    private const WIDTHS = [30, 66, 34, 20, 12, 18, 10];

    private const FIGURES = [3];

    public static function pdf(PickList $list): string
    {
        $sheet = new Sheet('P', "Pick list {$list->slip->id}", self::WIDTHS, self::FIGURES, 9);
        self::page($sheet, $list);
        foreach ($list->rows as $row) {
            if ($sheet->isFull(272)) {
                self::page($sheet, $list);
            }
            $y = $sheet->row(self::cells($row));
            $sheet->barcode($row->barcode(), 40, $y + 6, 60);
            $sheet->box(186, $y + 7);
            $sheet->endRow($y + 13.4, $y + 14, 190);
        }
        foreach ($list->missing as $row) {
            $amount = Figures::amount((string) $row->quantity);
            $sheet->note(
                "{$amount} {$row->unit} of {$row->itemNumber} {$row->item} for {$row->order} are not there.",
                'I',
            );
        }

        return $sheet->output();
    }

    /** @return list<string> */
    private static function cells(PickRow $row): array
    {
        return [
            $row->place ?? '',
            "{$row->itemNumber} {$row->item}",
            $row->code.($row->expiresOn === null ? '' : " until {$row->expiresOn}"),
            Figures::amount($row->typed),
            $row->unit,
            $row->order,
            (string) $row->step,
        ];
    }

    private static function page(Sheet $sheet, PickList $list): void
    {
        $sheet->page("Pick list {$list->slip->id}", 70, 10);
        $sheet->barcode("SLIP-{$list->slip->id}", 80, 10, 50, 8, 0.3);
        $sheet->says('printed '.When::full(now()), 70, 130);
        $sheet->head(self::HEAD, 8);
    }
}
