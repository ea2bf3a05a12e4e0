<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\ChangeCalendar;
use App\Actions\Schedule\NewCalendar;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\CalendarRequest;
use App\Http\Requests\Board\NewCalendarRequest;
use App\Models\Calendar;
use App\Queries\Board\CalendarList;
use App\Queries\Board\CalendarPage;
use App\Queries\Board\EffectWords;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Validator;

/** Calendars: the week, the days that differ, and what a change does before it is kept. */
class CalendarController extends Controller
{
    public function index(): View
    {
        return view('calendars.index', ['calendars' => CalendarList::all()]);
    }

    public function store(NewCalendarRequest $request, NewCalendar $enter): RedirectResponse
    {
        $code = $request->validated('code');
        $booking = $enter->handle($code, $request->like(), $request->signed());

        return $this->done(to_route('calendars.show', Calendar::coded($code)), $booking);
    }

    public function show(Request $request, int $calendar): View
    {
        $week = $request->string('week')->value();
        $isDay = Validator::make(
            ['week' => $week],
            ['week' => ['required', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']],
        )->passes();
        $monday = ($isDay ? CarbonImmutable::parse($week, When::zone()) : When::today())->startOfWeek();
        $effect = $request->session()->get('effect');

        return view('calendars.show', [
            'page' => CalendarPage::of($calendar, $monday),
            'effect' => is_string($effect) ? $effect : '',
            'lost' => (array) $request->session()->get('lost', []),
        ]);
    }

    /** Shows what the change would do, or keeps it. */
    public function update(CalendarRequest $request, int $calendar, ChangeCalendar $change): RedirectResponse
    {
        $edit = $request->edit();
        if ($request->boolean('try')) {
            $effect = $change->effect($calendar, $edit);

            return back()
                ->withInput($request->except('_token', 'file'))
                ->with('effect', EffectWords::sentence(EffectWords::of($effect->comparison)))
                ->with('lost', $effect->lost);
        }

        return $this->done(
            back(),
            $change->handle(
                $calendar,
                $edit,
                $request->boolean('anyway'),
                $request->signed(),
            ),
        );
    }
}
