<table class="list load-table">
    <thead>
        <tr>
            <th></th>
            @foreach ($compared->dayNames() as $day)
                <th class="n">{{ $day }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($compared->load as $centre)
            <tr>
                <td>{{ $centre->name }}</td>
                @foreach ($centre->days as $day)
                    <td class="n">
                        @if ($day !== null)
                            {{ $day[0] }}<br><b>{{ $day[1] }}</b>
                        @endif
                    </td>
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
<p class="sub">In percent of the open machine time.</p>
