<?php

namespace App\Papers;

use App\Queries\Board\DispatchList;
use App\Wording\When;
use TCPDF;

/**
 * A dispatch list on paper: A4, in sequence, each row with its order's number as Code 128, to be scanned into the find
 * box.
 */
final class DispatchPaper
{
    private const WIDTHS = [11, 24, 24, 17, 38, 60, 14, 24, 27, 28];

    public static function pdf(DispatchList $list): string
    {
        $pdf = new TCPDF('L', 'mm', 'A4', true, 'UTF-8');
        $pdf->setCreator('Keep Pace');
        $pdf->setTitle("Dispatch list {$list->title()}");
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(10, 10, 10);
        $pdf->setAutoPageBreak(false);
        self::page($pdf, $list);
        $rows = $list->table(false);
        foreach ($rows as $cells) {
            if ($pdf->GetY() > 185) {
                self::page($pdf, $list);
            }
            $y = $pdf->GetY();
            $pdf->setFont('helvetica', '', 8.5);
            foreach ($cells as $i => $cell) {
                $pdf->MultiCell(
                    self::WIDTHS[$i],
                    6,
                    $cell,
                    0,
                    $i === 0 || $i === 6 ? 'R' : 'L',
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
            $pdf->write1DBarcode($cells[3], 'C128', 10, $y + 6, 40, 6, 0.25, ['stretch' => false, 'position' => 'L']);
            $pdf->setXY(10, $y + 13);
            $pdf->Line(10, $y + 12.6, 277, $y + 12.6, ['width' => 0.1, 'color' => [150, 150, 150]]);
        }
        if ($rows === []) {
            $pdf->setFont('helvetica', '', 10);
            $pdf->Write(8, 'Nothing is planned here in this time.');
        }

        return $pdf->Output('', 'S');
    }

    private static function page(TCPDF $pdf, DispatchList $list): void
    {
        $pdf->AddPage();
        $pdf->setFont('helvetica', 'B', 14);
        $pdf->Cell(160, 8, $list->title());
        $pdf->setFont('helvetica', '', 9);
        $pdf->Cell(107, 8, 'Dispatch list, printed '.When::full(now()).', page '.$pdf->getPage(), 0, 1, 'R');
        $pdf->setFont('helvetica', 'B', 8.5);
        foreach (DispatchList::HEAD as $i => $word) {
            $pdf->Cell(self::WIDTHS[$i], 6, $word, 'B', 0, $i === 0 || $i === 6 ? 'R' : 'L');
        }
        $pdf->Ln(7);
    }
}
