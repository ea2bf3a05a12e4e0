<x-layout title="Calendars">
    <p class="lead">When work centres are open, when suppliers and people are there. Work is planned into open time only.</p>
    <table class="list"><thead><tr><th>Calendar</th><th>Used by</th><th class="n">Open hours a week</th><th class="n">Days that differ</th><th></th></tr></thead><tbody>
    @foreach ($calendars as $calendar)
        @php($length = fn ($shift) => (fn ($m) => $m <= 0 ? $m + 1440 : $m)((int) substr($shift->to_time, 0, 2) * 60 + (int) substr($shift->to_time, 3) - (int) substr($shift->from_time, 0, 2) * 60 - (int) substr($shift->from_time, 3)))
        @php($open = $calendar->shifts->where('is_break', false)->sum($length) - $calendar->shifts->where('is_break', true)->sum($length))
        <tr><td><a href="{{ route('calendars.show', $calendar->id) }}">{{ $calendar->code }}</a></td><td>{{ ($centres[$calendar->id] ?? collect())->pluck('name')->implode(', ') ?: '–' }}{{ $calendar->code === config('pace.calendar') ? ' · the plant: working days, due dates' : '' }}</td><td class="n">{{ round($open / 60, 1) }}</td><td class="n">{{ $calendar->days_count }}</td><td class="tight"><a href="{{ route('calendars.file', $calendar->id) }}">iCalendar file</a></td></tr>
    @endforeach
    </tbody></table>
</x-layout>
