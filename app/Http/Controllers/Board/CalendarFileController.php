<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Models\Calendar;
use App\Papers\CalendarFile;
use App\Wording\When;
use Illuminate\Http\Response;

/** Closed days of a calendar as iCalendar. */
class CalendarFileController extends Controller
{
    public function show(int $calendar): Response
    {
        $found = Calendar::query()->with(['shifts', 'days'])->findOrFail($calendar);

        $file = preg_replace('/[^A-Za-z0-9_-]/', '-', $found->code).'.ics';

        return response(CalendarFile::calendar($found, When::today()), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$file}\"",
        ]);
    }
}
