<?php

namespace App\Queries\Board;

use KeepPace\Core\Calendar\OpenWindows;

/** A row of the board on paper: a machine, or a lane of work at suppliers. */
final readonly class PrintedRow
{
    /**
     * @param  string  $name  '' = one more of the work centre above
     * @param  OpenWindows|null  $open  when it works; null = always, as suppliers do for the board
     * @param  list<PrintedBar>  $bars
     */
    public function __construct(public string $name, private ?OpenWindows $open, public array $bars)
    {
    }

    /** @return list<array{int, int}> when it is closed, in UTC minutes */
    public function closed(int $from, int $to): array
    {
        $closed = [];
        foreach ($this->worked($from, $to) as [$start, $end]) {
            if ($start > $from) {
                $closed[] = [$from, $start];
            }
            $from = $end;
        }

        return $from < $to ? [...$closed, [$from, $to]] : $closed;
    }

    /** @return list<array{int, int}> the parts of a span in which it works */
    public function worked(int $from, int $to): array
    {
        if ($this->open === null) {
            return [[$from, $to]];
        }
        $parts = [];
        foreach ($this->open->starts as $i => $start) {
            $end = $this->open->ends[$i];
            if ($end > $from && $start < $to) {
                $parts[] = [max($from, $start), min($to, $end)];
            }
        }

        return $parts;
    }
}
