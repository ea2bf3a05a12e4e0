<?php

namespace App\Queries\Board;

use App\Models\Calendar;
use App\Models\Shift;
use App\Models\Supplier;
use App\Models\WorkCentre;
use App\Shop\PlantCalendar;
use Illuminate\Support\Collection;

/** A calendar among the others: who goes by it, how long it is open. */
final readonly class CalendarList
{
    /** @param  int  $minutes  open in a week that does not differ */
    private function __construct(
        public int $id,
        public string $code,
        public string $usedBy,
        private int $minutes,
        public int $days,
    ) {
    }

    /** @return Collection<int, self> */
    public static function all(): Collection
    {
        $by = [];
        $plant = PlantCalendar::row()?->id;
        foreach ([...WorkCentre::inOrder(), ...self::suppliers()] as $one) {
            $by[$one->calendar_id][] = $one->name;
        }

        return Calendar::query()->with('shifts')->withCount('days')->orderBy('id')->get()->map(
            fn (Calendar $calendar): self => new self(
                $calendar->id,
                $calendar->code,
                self::used($by[$calendar->id] ?? [], $calendar->id === $plant),
                self::open($calendar),
                $calendar->days_count ?? 0,
            ),
        );
    }

    /** @return Collection<int, Supplier> who go by a calendar of their own */
    private static function suppliers(): Collection
    {
        return Supplier::query()->whereNotNull('calendar_id')->orderBy('id')->get()->toBase();
    }

    public function hours(): string
    {
        return (string) round($this->minutes / 60, 1);
    }

    private static function open(Calendar $calendar): int
    {
        [$breaks, $work] = $calendar->shifts->partition(fn (Shift $shift): bool => $shift->is_break);
        $minutes = fn (Shift $shift): int => $shift->minutes();

        return $work->sum($minutes) - $breaks->sum($minutes);
    }

    /** @param  array<string>  $by  work centres and suppliers */
    private static function used(array $by, bool $isPlant): string
    {
        $names = $by === [] ? '–' : implode(', ', $by);

        return $isPlant ? "{$names} · the plant: working days, due dates" : $names;
    }
}
