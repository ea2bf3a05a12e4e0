<x-layout title="Calendars">
    <p class="lead">
        When work centres are open, when suppliers and people are there. Work is planned into open time only.
    </p>
    <table class="list">
        <thead>
            <tr>
                <th>Calendar</th>
                <th>Used by</th>
                <th class="n">Open hours a week</th>
                <th class="n">Days that differ</th>
                <th></th>
            </tr>
        </thead>
        <tbody>
        @foreach ($calendars as $calendar)
            <tr>
                <td><a href="{{ route('calendars.show', $calendar->id) }}">{{ $calendar->code }}</a></td>
                <td>{{ $calendar->usedBy }}</td>
                <td class="n">{{ $calendar->hours() }}</td>
                <td class="n">{{ $calendar->days }}</td>
                <td class="tight"><a href="{{ route('calendars.file', $calendar->id) }}">iCalendar file</a></td>
            </tr>
        @endforeach
        </tbody>
    </table>
</x-layout>
