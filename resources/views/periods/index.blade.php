<x-layout title="Periods">
    <div class="head">
        <h1>Periods of the books</h1>
        <span class="say">
            {{ $periods->isEmpty() ? 'None is closed.' : "Closed up to {$periods[0]->day()}." }}
            What is entered later goes into the open one, with the day it was entered.
        </span>
    </div>
    @can('value')
        <x-form class="actions align-items-end" :to="route('periods.store')">
            <x-day name="ends_on" label="Last day" />
            <button class="btn btn-act">Close the books up to this day</button>
        </x-form>
    @endcan
    @if ($periods->isNotEmpty())
        <table class="list">
            <thead>
                <tr>
                    <th>Closed up to</th>
                    <th>When</th>
                    <th>Who</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($periods as $period)
                    <tr>
                        <td>{{ $period->day() }}</td>
                        <td>{{ $print->moment($period->closedAt) }}</td>
                        <td>{{ $period->person }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
