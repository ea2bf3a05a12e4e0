<?php

namespace App\Papers;

use App\Queries\Usage\PickList;
use App\Wording\Figures;
use App\Wording\When;
use TCPDF;

/** A pick list on paper: A4, by place, each lot or item as Code 128 to be scanned when it is taken. */
final class PickPaper
{
    private const WIDTHS = [
        'Place' => 30,
        'Item' => 66,
        'Lot or serial' => 34,
        'Quantity' => 20,
        '' => 12,
        'Order' => 18,
        'Step' => 10,
    ];

    public static function pdf(PickList $list): string
    {
        $pdf = new TCPDF('P', 'mm', 'A4', true, 'UTF-8');
        $pdf->setCreator('Keep Pace');
        $pdf->setTitle("Pick list {$list->slip->id}");
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(10, 10, 10);
        $pdf->setAutoPageBreak(false);
        self::page($pdf, $list);
        foreach ($list->rows as $row) {
            if ($pdf->GetY() > 272) {
                self::page($pdf, $list);
            }
            $y = $pdf->GetY();
            $pdf->setFont('helvetica', '', 9);
            $cells = [
                $row->place ?? '',
                "{$row->itemNumber} {$row->item}",
                $row->code.($row->expiresOn === null ? '' : " until {$row->expiresOn}"),
                Figures::amount($row->typed),
                $row->unit,
                $row->order,
                (string) $row->step,
            ];
            foreach (array_values(self::WIDTHS) as $i => $width) {
                $pdf->MultiCell(
                    $width,
                    6,
                    $cells[$i],
                    0,
                    $i === 3 ? 'R' : 'L',
                    false,
                    0,
                    null,
                    null,
                    true,
                    0,
                    false,
                    true,
                    6,
                    'M',
                    true,
                );
            }
            $pdf->write1DBarcode($row->barcode(), 'C128', 40, $y + 6, 60, 6, 0.25, [
                'stretch' => false,
                'position' => 'L',
            ]);
            $pdf->Rect(186, $y + 7, 5, 5);
            $pdf->Line(10, $y + 13.4, 200, $y + 13.4, ['width' => 0.1, 'color' => [150, 150, 150]]);
            $pdf->setXY(10, $y + 14);
        }
        foreach ($list->missing as $row) {
            $pdf->setFont('helvetica', 'I', 9);
            $pdf->Cell(
                190,
                6,
                Figures::amount((string) $row->quantity)
                    ." {$row->unit} of {$row->itemNumber} {$row->item} for {$row->order} are not there.",
                0,
                1,
            );
        }

        return $pdf->Output('', 'S');
    }

    private static function page(TCPDF $pdf, PickList $list): void
    {
        $pdf->AddPage();
        $pdf->setFont('helvetica', 'B', 14);
        $pdf->Cell(70, 10, "Pick list {$list->slip->id}");
        $pdf->write1DBarcode("SLIP-{$list->slip->id}", 'C128', 80, 10, 50, 8, 0.3, [
            'stretch' => false,
            'position' => 'L',
        ]);
        $pdf->setFont('helvetica', '', 9);
        $pdf->setXY(130, 10);
        $pdf->Cell(70, 8, 'printed '.When::full(now()).', page '.$pdf->getPage(), 0, 1, 'R');
        $pdf->setFont('helvetica', 'B', 9);
        foreach (self::WIDTHS as $word => $width) {
            $pdf->Cell($width, 6, $word, 'B', 0, $word === 'Quantity' ? 'R' : 'L');
        }
        $pdf->Ln(8);
    }
}
