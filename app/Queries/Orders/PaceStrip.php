<?php

namespace App\Queries\Orders;

/** An order's steps drawn to scale. */
final readonly class PaceStrip
{
    /**
     * @param  list<PaceSegment>  $segments
     * @param  float|null  $mark  where it should be by now to keep its date, 0 to 1; null without a date
     */
    public function __construct(public array $segments, public int $minutes, public ?float $mark)
    {
    }

    /** What the drawing says, for those who do not see it. */
    public function title(): string
    {
        $at = array_values(array_filter($this->segments, fn (PaceSegment $segment): bool => $segment->here));
        $done = count(array_filter($this->segments, fn (PaceSegment $segment): bool => $segment->done >= 1.0));

        return "{$done} of "
            .count($this->segments)
            .' steps done'
            .($at === []
                ? ''
                : '; at '
                    .implode(
                        ', ',
                        array_map(fn (PaceSegment $segment): string => "step {$segment->number} {$segment->name}", $at),
                    ));
    }

    /**
     * The drawing: what is done, part done, here, open, outside, and the mark.
     *
     * @return array<string, string> SVG path by class, in the order they are painted
     */
    public function shapes(float $width): array
    {
        $shapes = [
            'here' => '',
            'done' => '',
            'part' => '',
            'out-done' => '',
            'open' => '',
            'out' => '',
            'mark' => '',
            'mark-head' => '',
        ];
        $box = fn (float $x, float $w): string => 'M'
            .round($x, 1)
            .' 5h'
            .round(max(1, $w), 1)
            .'v6h-'
            .round(max(1, $w), 1)
            .'z';
        $x = 0.0;
        foreach ($this->segments as $segment) {
            $w = $this->minutes === 0 ? 0.0 : $width * $segment->minutes / $this->minutes;
            $shapes['here'] .= $segment->here && $segment->done < 1 ? $box($x, $w - 1.5) : '';
            if ($segment->done > 0) {
                $shapes[$segment->outside ? 'out-done' : ($segment->done >= 1 ? 'done' : 'part')] .= $box(
                    $x,
                    ($w - 1.5) * $segment->done,
                );
            }
            $shapes[$segment->outside ? 'out' : 'open'] .= $box($x, $w - 1.5);
            $x += $w;
        }
        if ($this->mark !== null) {
            $at = round($width * $this->mark, 1);
            $shapes['mark'] = "M{$at} 2v12";
            $shapes['mark-head'] = 'M'.($at - 4).' 0h8l-4 5z';
        }

        return array_filter($shapes, fn (string $path): bool => $path !== '');
    }
}
