<?php

namespace App\Shop;

use App\Models\WorkCentre;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\OpenWindows;

/** When one work centre was open: its calendar, and the overtime that was said for it. */
final class WorkCentreHours
{
    /**
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute
     */
    public static function between(int $workCentre, int $from, int $to): OpenWindows
    {
        $centre = WorkCentre::query()->with('calendar.shifts', 'calendar.days')->findOrFail($workCentre);
        $open = $centre->calendar->toCore()->windows($from - 1, $to + 1);
        $spans = $open->spans();
        $overtimes = DB::table('overtimes')
            ->where('work_centre_id', $workCentre)
            ->whereNull('ended_at')
            ->where('from_at', '<=', gmdate('Y-m-d H:i:s', $to * 60))
            ->where('until_at', '>', gmdate('Y-m-d H:i:s', $from * 60))
            ->selectRaw(ShopState::minuteOf('from_at').' AS begins')
            ->selectRaw(ShopState::minuteOf('until_at').' AS ends');
        foreach (Row::all($overtimes, fn (Row $row): Row => $row) as $overtime) {
            $spans[] = [$overtime->int('begins'), $overtime->int('ends')];
        }

        return OpenWindows::of($spans, [], $from - 1, $to + 1);
    }
}
