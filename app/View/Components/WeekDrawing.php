<?php

namespace App\View\Components;

use App\Queries\Board\DrawnDay;
use App\View\DrawnLine;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The open time of a week, drawn to scale: a line a day, an hour's width the same everywhere. */
class WeekDrawing extends Component
{
    private const LEFT = 160;

    private const HOUR = 37;

    private const LINE = 25;

    private const TOP = 18;

    public readonly int $height;

    public readonly string $title;

    /** @var array<int, string> labels of hours by where they stand */
    public readonly array $hours;

    /** @var list<DrawnLine> */
    public readonly array $lines;

    /** @param  list<DrawnDay>  $week */
    public function __construct(array $week)
    {
        $this->height = count($week) * self::LINE + 20;
        $monday = $week[0]->day->format('j M Y');
        $this->title = "Open time in the week of {$monday}; the week is listed in the form below.";
        $hours = [];
        for ($hour = 0; $hour <= 24; $hour += 3) {
            $hours[self::LEFT + $hour * self::HOUR] = sprintf('%02d:00', $hour);
        }
        $this->hours = $hours;
        $this->lines = array_map($this->line(...), $week, array_keys($week));
    }

    public function render(): View
    {
        return view('components.week-drawing');
    }

    private function line(DrawnDay $day, int $place): DrawnLine
    {
        $y = self::TOP + $place * self::LINE;

        return new DrawnLine($day, $y, $y + 15, array_map(fn (array $span): array => [
            round(self::LEFT + $span[0] * self::HOUR / 60, 1),
            round(($span[1] - $span[0]) * self::HOUR / 60, 1),
        ], $day->spans));
    }
}
