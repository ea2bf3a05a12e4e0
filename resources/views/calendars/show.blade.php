@php($names = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'])
@php($effect = session('effect')) @php($lost = session('lost', []))
<x-layout :title="'Calendar '.$calendar->code">
    <div class="head"><h1>Calendar {{ $calendar->code }}</h1><span class="say">{{ $centres->isEmpty() ? 'used by no work centre' : $centres->implode(', ') }}</span><a href="{{ route('calendars.index') }}">all calendars</a><a href="{{ route('calendars.file', $calendar->id) }}">iCalendar file</a>
        <nav class="pick ms-auto"><a href="?week={{ $monday->subWeek()->toDateString() }}">week before</a><a href="?">this week</a><a href="?week={{ $monday->addWeek()->toDateString() }}">week after</a></nav></div>
    <svg class="week" viewBox="0 0 1060 {{ 7 * 25 + 20 }}" role="img" aria-labelledby="week-title"><title id="week-title">Open time in the week of {{ $monday->format('j M Y') }}; the week is listed in the form below.</title>
        @for ($h = 0; $h <= 24; $h += 3)<line class="grid" x1="{{ 160 + $h * 37 }}" x2="{{ 160 + $h * 37 }}" y1="14" y2="{{ 7 * 25 + 18 }}"/><text class="hour" x="{{ 160 + $h * 37 }}" y="11" text-anchor="middle">{{ sprintf('%02d:00', $h) }}</text>@endfor
        @foreach ($drawn as $i => $day)
            @php($y = 18 + $i * 25)
            <text x="0" y="{{ $y + 15 }}" @class(['today' => $day['day']->isToday()])>{{ $day['day']->format('D j M') }}</text><text class="hour" x="150" y="{{ $y + 15 }}" text-anchor="end">{{ round($day['minutes'] / 60, 1) }} h</text>
            <rect class="closed" x="160" y="{{ $y }}" width="888" height="20"/>
            @foreach ($day['spans'] as [$from, $to])<rect class="open" x="{{ round(160 + $from * 37 / 60, 1) }}" y="{{ $y }}" width="{{ round(($to - $from) * 37 / 60, 1) }}" height="20"/>@endforeach
            @if ($day['notes'] !== [])<text class="note" x="1044" y="{{ $y + 14 }}" text-anchor="end">{{ implode(', ', $day['notes']) }}</text>@endif
        @endforeach
        <defs><pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="6" height="6" fill="#efe6d4"/><line x1="0" y1="0" x2="0" y2="6" stroke="#ddd0b8" stroke-width="2"/></pattern></defs>
    </svg>
    @if ($effect !== null)
        <div class="said note"><span>It would {{ $effect['late'] === [] ? 'make nobody late' : 'make late: '.collect($effect['late'])->map(fn ($one) => "{$one['number']} ({$one['says']})")->implode(', ') }}{{ $effect['saved'] === [] ? '' : '; save '.collect($effect['saved'])->pluck('number')->implode(', ') }}. {{ $effect['moved'] }} steps move. All lateness from {{ round($effect['totalBefore'] / 60, 1) }} to {{ round($effect['totalAfter'] / 60, 1) }} open hours. Nothing is kept yet.</span></div>
        @if ($lost !== [])<div class="said not"><span>It would leave no open time: {{ implode(' ', array_slice($lost, 0, 5)) }}</span></div>@endif
    @endif
    @can('plan')
    <form method="post" action="{{ route('calendars.update', $calendar->id) }}" enctype="multipart/form-data">@csrf @method('put') @token
        <div class="halves">
            <section><h2>The week</h2>
                <table class="list"><thead><tr><th>Day</th><th>Shifts</th><th>Breaks</th></tr></thead><tbody>
                @foreach ($names as $n => $name)<tr><td>{{ $name }}</td><td><x-field bare name="week[{{ $n }}][work]" :label="$name.', shifts'" size="24" :value="old('week.'.$n.'.work', \App\Queries\Board\CalendarWeek::typed($calendar, $n, false))" placeholder="closed" />@error("week.{$n}.work")<div class="why">{{ $message }}</div>@enderror @error("week.{$n}")<div class="why">{{ $message }}</div>@enderror</td><td><x-field bare name="week[{{ $n }}][break]" :label="$name.', breaks'" size="24" :value="old('week.'.$n.'.break', \App\Queries\Board\CalendarWeek::typed($calendar, $n, true))" placeholder="none" />@error("week.{$n}.break")<div class="why">{{ $message }}</div>@enderror</td></tr>@endforeach
                </tbody></table><p class="sub">Such as 07:00-15:30; several with commas. An end at or before its begin is on the next day.</p><x-why field="week" />
            </section>
            <section><h2>Days that differ</h2>
                @php($ahead = $calendar->days->where('date', '>=', $print->today()->subDays(7)->format('Y-m-d'))->sortBy('date'))
                @if ($ahead->isEmpty())<p class="none">No day ahead differs from the week.</p>@else
                <table class="list"><thead><tr><th>Date</th><th></th><th>Time</th><th>Name</th><th>Take out</th></tr></thead><tbody>@foreach ($ahead->take(30) as $day)<tr><td class="tight">{{ \Carbon\CarbonImmutable::parse($day->date)->format('D j M Y') }}</td><td>{{ $day->kind }}</td><td class="tight">{{ $day->from_time === '' ? 'whole day' : "{$day->from_time}–{$day->to_time}" }}</td><td>{{ $day->name }}</td><td><input type="checkbox" name="remove[]" value="{{ $day->id }}" aria-label="Take out {{ $day->date }} {{ $day->name }}" @checked(in_array((string) $day->id, old('remove', []), true))></td></tr>@endforeach</tbody></table>@endif
                <div class="actions align-items-end"><x-day name="date" label="Add a day" /><div class="in"><label for="day-kind">It is</label><select class="form-select" name="kind" id="day-kind"><option value="closed">closed</option><option value="overtime" @selected(old('kind') === 'overtime')>overtime</option></select></div><x-field name="from" label="From" type="time" /><x-field name="to" label="To" type="time" /><x-field name="name" label="Name" size="14" maxlength="60" /></div>
                <div class="in"><label for="day-file">Or days from an iCalendar file</label><input class="form-control" type="file" name="file" id="day-file" accept=".ics,text/calendar">@error('file')<div class="why">{{ $message }}</div>@enderror</div>
            </section>
        </div>
        <div class="actions"><button class="btn btn-quiet" name="try" value="1">Show what it would do</button><button class="btn btn-act">Change the calendar</button>
            @if ($lost !== [] || $errors->has('anyway'))<label class="d-inline"><input type="checkbox" name="anyway" value="1"> even if steps lose all open time</label>@endif</div>
    </form>
    @endcan
    <x-changes :rows="$changes" />
</x-layout>
