<?php

use App\Actions\Schedule\CalendarTrail;
use App\Books\ProductChanges;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Calendars had a trail of their own when the page changed them: it goes on in the one trail of product data. */
return new class extends Migration
{
    public function up(): void
    {
        $rows = DB::table('calendar_changes AS x')->join('calendars AS c', 'c.id', 'x.calendar_id')->orderBy('x.id')
            ->get(['x.booking_id', 'x.calendar_id', 'x.before', 'x.after', 'c.code']);
        foreach ($rows as $row) {
            $changes = new ProductChanges($row->booking_id);
            CalendarTrail::between(
                $changes,
                $row->calendar_id,
                $row->code,
                self::words($row->before),
                self::words($row->after),
            );
            $changes->write();
        }
        Schema::drop('calendar_changes');
    }

    /** @return array{week: array<int, string>, days: array<string, string>} */
    private static function words(string $json): array
    {
        $state = json_decode($json);

        return CalendarTrail::words($state->week, $state->days);
    }
};
