<?php

namespace App\Queries\Board;

use App\Models\Calendar;
use App\Models\CalendarDay;
use App\Models\WorkCentre;
use App\Queries\ProductChange;
use App\Queries\ProductTrail;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** One calendar: a week of it, what is typed for each weekday, the days ahead that differ, what was changed. */
final readonly class CalendarPage
{
    private const WEEKDAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    private const AHEAD = 30;

    /**
     * @param  list<DrawnDay>  $week
     * @param  list<TypedDay>  $weekdays
     * @param  Collection<int, CalendarDay>  $ahead  from a week ago on
     * @param  Collection<int, ProductChange>  $changes
     */
    private function __construct(
        public int $id,
        public string $code,
        public string $usedBy,
        public CarbonImmutable $monday,
        public array $week,
        public array $weekdays,
        public Collection $ahead,
        public Collection $changes,
    ) {
    }

    public static function of(int $id, CarbonImmutable $monday): self
    {
        $calendar = Calendar::query()->with(['shifts', 'days'])->findOrFail($id);

        return new self(
            $calendar->id,
            $calendar->code,
            WorkCentre::query()->where('calendar_id', $id)->pluck('name')->implode(', ') ?: 'used by no work centre',
            $monday,
            CalendarWeek::of($calendar, $monday),
            array_map(
                fn (int $day, string $name): TypedDay => new TypedDay(
                    $day,
                    $name,
                    CalendarWeek::typed($calendar, $day, false),
                    CalendarWeek::typed($calendar, $day, true),
                ),
                array_keys(self::WEEKDAYS),
                self::WEEKDAYS,
            ),
            $calendar->days
                ->where('date', '>=', When::today()->subDays(7)->format('Y-m-d'))
                ->sortBy('date')
                ->take(self::AHEAD)
                ->values(),
            ProductTrail::of('calendars', $id),
        );
    }

    /** The Monday of another week, for an address. */
    public function weekFrom(int $weeks): string
    {
        return $this->monday->addWeeks($weeks)->toDateString();
    }
}
