<h2>Counts</h2>
<table class="list">
    <thead>
        <tr>
            <th>Step</th>
            <th class="n">In</th>
            <th class="n">Good</th>
            <th class="n">Scrap</th>
            <th class="n">Passed on</th>
            <th class="n">Minutes</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($booking->stepEntries as $entry)
            <tr>
                <td>{{ $entry->step->number }} {{ $entry->step->name }}</td>
                <td class="n">{{ $print->amount($entry->taken_in) }}</td>
                <td class="n">{{ $print->amount($entry->good) }}</td>
                <td class="n">{{ $print->amount($entry->scrap) }}</td>
                <td class="n">{{ $print->amount($entry->passed_on) }}</td>
                <td class="n">{{ $entry->machine_minutes }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
