<?php

namespace App\Queries\Flow;

use App\Queries\Stock\Movement;
use App\Wording\When;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\StockFlow;

/** The running balance of an item as a line: the past up to now, and what will be. */
final readonly class FlowDrawing
{
    /** Labels along the bottom. */
    private const DAYS = 6;

    /**
     * @param  string  $past  points of the line up to now
     * @param  string  $coming  points of the line from now on
     * @param  list<array{float, string, string}>  $days  where a day stands, what it is called, and on which side of it
     * @param  list<array{float, string}>  $levels  how high a level is drawn, and what it is
     */
    private function __construct(
        public string $past,
        public string $coming,
        public float $now,
        public ?float $safety,
        public float $nothing,
        public array $days,
        public array $levels,
    ) {
    }

    /** @param  Collection<int, Movement>  $past  oldest first */
    public static function of(StockFlow $flow, Collection $past): self
    {
        $now = intdiv(now()->getTimestamp(), 60);
        $before = [];
        foreach ($past as $move) {
            $before[] = [intdiv($move->enteredAt->getTimestamp(), 60), $move->onHand->toFloat()];
        }
        $after = [[$now, $flow->start->toFloat()]];
        foreach ($flow->rows as $row) {
            $after[] = [$row->at(), $row->after->toFloat()];
        }
        $all = [...$before, ...$after];
        $times = array_column($all, 0);
        $heights = [...array_column($all, 1), 0.0, $flow->safety->toFloat()];
        $scale = new FlowScale(min($times), max([...$times, $now + 1440]), min($heights), max($heights));

        return new self(
            $scale->steps($before, $now),
            $scale->steps($after, null),
            $scale->x($now),
            $flow->safety->isZero() ? null : $scale->y($flow->safety->toFloat()),
            $scale->y(0.0),
            self::days($scale),
            $scale->levels(),
        );
    }

    /** @return list<array{float, string, string}> */
    private static function days(FlowScale $scale): array
    {
        $days = [];
        foreach ($scale->times(self::DAYS) as $i => $at) {
            $anchor = match ($i) {
                0 => 'start',
                self::DAYS - 1 => 'end',
                default => 'middle',
            };
            $days[] = [$scale->x($at), When::day($at), $anchor];
        }

        return $days;
    }
}
