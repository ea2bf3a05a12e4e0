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
                <td class="tight"><a href="{{ route('calendars.show', $calendar->id) }}">{{ $calendar->code }}</a></td>
                <td>{{ $calendar->usedBy }}</td>
                <td class="n">{{ $calendar->hours() }}</td>
                <td class="n">{{ $calendar->days }}</td>
                <td class="tight"><a href="{{ route('calendars.file', $calendar->id) }}">iCalendar file</a></td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @can('plan')
        <x-form class="actions align-items-end" :to="route('calendars.store')">
            <x-field name="code" label="New calendar, called" size="12" maxlength="20" />
            @if ($calendars->isNotEmpty())
                <x-choice name="like" label="with the week of" :options="$calendars->pluck('code', 'id')->all()" />
            @endif
            <button class="btn btn-quiet">Enter it</button>
        </x-form>
    @endcan
</x-layout>
