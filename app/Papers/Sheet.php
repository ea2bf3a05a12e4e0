<?php

namespace App\Papers;

use TCPDF;

/** A list on A4: cells of a row side by side in small print, bar codes below them to be scanned. */
final class Sheet
{
    private const CELL = 6; // mm high

    private readonly TCPDF $pdf;

    /**
     * @param  string  $orientation  P or L
     * @param  list<int>  $widths  of the columns, in mm
     * @param  list<int>  $figures  columns whose text stands at the right
     */
    public function __construct(
        string $orientation,
        string $title,
        private readonly array $widths,
        private readonly array $figures,
        private readonly float $size,
    ) {
        $this->pdf = new TCPDF($orientation, 'mm', 'A4', true, 'UTF-8');
        $this->pdf->setCreator('Keep Pace');
        $this->pdf->setTitle($title);
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->setMargins(10, 10, 10);
        $this->pdf->setAutoPageBreak(false);
    }

    public function page(string $title, float $width, float $height = 8): void
    {
        $this->pdf->AddPage();
        $this->pdf->setFont('helvetica', 'B', 14);
        $this->pdf->Cell($width, $height, $title);
    }

    /** At the right of the page's title; goes on below it. */
    public function says(string $words, float $width, ?float $x = null): void
    {
        $this->pdf->setFont('helvetica', '', 9);
        $x === null ?: $this->pdf->setXY($x, 10);
        $this->pdf->Cell($width, 8, "{$words}, page {$this->pdf->getPage()}", 0, 1, 'R');
    }

    /** @param  list<string>  $words */
    public function head(array $words, float $height): void
    {
        $this->pdf->setFont('helvetica', 'B', $this->size);
        foreach ($words as $i => $word) {
            $this->pdf->Cell($this->widths[$i], self::CELL, $word, 'B', 0, $this->side($i));
        }
        $this->pdf->Ln($height);
    }

    /**
     * @param  list<string>  $cells
     * @return float where the row begins, in mm from the top
     */
    public function row(array $cells): float
    {
        $y = $this->pdf->GetY();
        $this->pdf->setFont('helvetica', '', $this->size);
        foreach ($this->widths as $i => $width) {
            $this->pdf->MultiCell(
                $width,
                self::CELL,
                $cells[$i],
                align: $this->side($i),
                ln: 0,
                maxh: self::CELL,
                valign: 'M',
                fitcell: true,
            );
        }

        return $y;
    }

    public function barcode(string $code, float $x, float $y, float $width, float $height = 6, float $bar = 0.25): void
    {
        $style = ['stretch' => false, 'position' => 'L'];
        $this->pdf->write1DBarcode($code, 'C128', $x, $y, $width, $height, $bar, $style);
    }

    /** To be ticked by hand. */
    public function box(float $x, float $y): void
    {
        $this->pdf->Rect($x, $y, 5, 5);
    }

    public function endRow(float $line, float $next, float $width): void
    {
        $this->pdf->Line(10, $line, 10 + $width, $line, ['width' => 0.1, 'color' => [150, 150, 150]]);
        $this->pdf->setXY(10, $next);
    }

    public function note(string $words, string $style = ''): void
    {
        $this->pdf->setFont('helvetica', $style, 9);
        $this->pdf->Cell(0, self::CELL, $words, 0, 1);
    }

    public function isFull(float $most): bool
    {
        return $this->pdf->GetY() > $most;
    }

    public function output(): string
    {
        return $this->pdf->Output('', 'S');
    }

    private function side(int $column): string
    {
        return in_array($column, $this->figures, true) ? 'R' : 'L';
    }
}
