<?php

namespace App\Papers;

use App\Queries\Board\PrintedBar;
use App\Queries\Board\PrintedPlan;
use App\Queries\Board\PrintedRow;
use App\Wording\When;
use KeepPace\Core\Scheduling\Plan\FoldedTime;
use TCPDF;

/** A day or a week of the board on A3, for the wall: black, white and hatched, so that any printer shows it. */
final class BoardPaper
{
    /** In mm. */
    private const LEFT = 52.0;

    private const TOP = 26.0;

    private const WIDTH = 358.0;

    private const LEAST_ROW = 7.5;

    private const MOST_ROW = 12.0;

    /** A day narrower than this is not named: one of a folded weekend. */
    private const NAMED = 14.0;

    private const BOTTOM = 282.0;

    private const CLOSED = [232, 232, 232];

    private readonly TCPDF $pdf;

    private readonly FoldedTime $time;

    private readonly float $rowHeight;

    private function __construct(private readonly PrintedPlan $plan)
    {
        $this->time = $plan->time();
        $fits = (self::BOTTOM - self::TOP) / max(1, count($plan->rows));
        $this->rowHeight = max(self::LEAST_ROW, min(self::MOST_ROW, $fits));
        $this->pdf = new TCPDF('L', 'mm', 'A3', true, 'UTF-8');
        $this->pdf->setCreator('Keep Pace');
        $this->pdf->setTitle("Plan {$plan->span()}");
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->setMargins(10, 10, 10);
        $this->pdf->setAutoPageBreak(false);
        $this->pdf->setCellPaddings(0.6, 0, 0.2, 0);
    }

    public static function pdf(PrintedPlan $plan): string
    {
        $self = new self($plan);
        $rows = max(1, (int) ((self::BOTTOM - self::TOP) / $self->rowHeight + 0.01));
        foreach (array_chunk($plan->rows, $rows) as $page) {
            $self->page($page);
        }

        return $self->pdf->Output('', 'S');
    }

    /** @param  list<PrintedRow>  $rows */
    private function page(array $rows): void
    {
        $this->pdf->AddPage();
        $this->pdf->setFont('helvetica', 'B', 14);
        $name = $this->plan->plan->is_live ? 'Plan' : "What if: {$this->plan->plan->name}";
        $this->pdf->Cell(250, 8, "{$name}, {$this->plan->span()}");
        $this->pdf->setFont('helvetica', '', 9);
        $printed = 'printed '.When::full(now()).", page {$this->pdf->getPage()}";
        $this->pdf->Cell(150, 8, "White: to come. Grey frame: running. Corner: late. {$printed}", 0, 1, 'R');
        foreach ($rows as $n => $row) {
            $this->closed($row, self::TOP + $n * $this->rowHeight);
        }
        $this->heads(count($rows) * $this->rowHeight);
        foreach ($rows as $n => $row) {
            $this->row($row, self::TOP + $n * $this->rowHeight);
        }
    }

    private function heads(float $height): void
    {
        foreach ($this->plan->days as $n => $day) {
            $x = $this->x($day);
            $this->pdf->Line($x, self::TOP - 9, $x, self::TOP + $height, ['width' => 0.35, 'color' => [0, 0, 0]]);
            if ($this->x($this->plan->days[$n + 1] ?? $this->plan->to) - $x >= self::NAMED) {
                $this->pdf->setFont('helvetica', 'B', 9);
                $this->pdf->Text($x + 0.5, self::TOP - 9, When::local($day)->format('D j M'));
            }
        }
        $this->pdf->setFont('helvetica', '', 7);
        $every = count($this->plan->days) === 1 ? 60 : 180;
        for ($minute = $this->plan->from + $every; $minute < $this->plan->to; $minute += $every) {
            if (! $this->isFolded($minute)) {
                $x = $this->x($minute);
                $this->pdf->Line($x, self::TOP - 1.5, $x, self::TOP, ['width' => 0.2, 'color' => [0, 0, 0]]);
                $this->pdf->Text($x - 4, self::TOP - 5, When::local($minute)->format('H:i'));
            }
        }
    }

    private function closed(PrintedRow $row, float $y): void
    {
        foreach ($row->closed($this->plan->from, $this->plan->to) as [$from, $to]) {
            $x = $this->x($from);
            $this->pdf->Rect($x, $y, $this->x($to) - $x, $this->rowHeight, 'F', [], self::CLOSED);
        }
    }

    private function row(PrintedRow $row, float $y): void
    {
        $this->pdf->Line(10, $y, self::LEFT + self::WIDTH, $y, ['width' => 0.1, 'color' => [120, 120, 120]]);
        $this->pdf->setFont('helvetica', 'B', 9);
        $this->pdf->setXY(10, $y + 1);
        $this->pdf->Cell(self::LEFT - 11, 6, $row->name, stretch: 1);
        foreach ($row->bars as $bar) {
            $this->bar($row, $bar, $y + 0.8);
        }
    }

    /** A box for each time it is worked on, a line through where it pauses. */
    private function bar(PrintedRow $row, PrintedBar $bar, float $y): void
    {
        $from = max($this->plan->from, $bar->start);
        $to = min($this->plan->to, $bar->end);
        $height = $this->rowHeight - 1.6;
        $line = ['width' => $bar->isStarted ? 0.7 : 0.25, 'color' => $bar->isStarted ? [110, 110, 110] : [0, 0, 0]];
        $middle = $y + $height / 2;
        $this->pdf->Line($this->x($from), $middle, $this->x($to), $middle, $line);
        $widest = [0.0, 0.0];
        foreach ($row->worked($from, $to) as [$start, $end]) {
            $x = $this->x($start);
            $width = max(0.4, $this->x($end) - $x);
            $this->pdf->Rect($x, $y, $width, $height, 'DF', ['all' => $line], [255, 255, 255]);
            $widest = $width > $widest[1] ? [$x, $width] : $widest;
        }
        if ($bar->isLate) {
            $x = $this->x($from);
            $this->pdf->Polygon([$x, $y, $x + 2, $y, $x, $y + 2], 'F', [], [0, 0, 0]);
        }
        $this->words($bar, $widest[0], $widest[1], $y, $height);
    }

    private function words(PrintedBar $bar, float $x, float $width, float $y, float $height): void
    {
        if ($width < 5) {
            return;
        }
        $this->pdf->setFont('helvetica', '', 7);
        $room = (int) floor($width / 1.25);
        $words = mb_strlen($bar->words) > $room ? mb_substr($bar->words, 0, $room) : $bar->words;
        $this->pdf->setXY($x + 0.6, $y);
        $this->pdf->Cell($width - 0.8, $height, $words);
    }

    private function x(int $minute): float
    {
        return self::LEFT + self::WIDTH * $this->time->x($minute);
    }

    private function isFolded(int $minute): bool
    {
        foreach ($this->plan->quiet as [$from, $to]) {
            if ($minute > $from - 30 && $minute < $to + 20) {
                return true;
            }
        }

        return false;
    }
}
