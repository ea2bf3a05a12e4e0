<table class="list">
    <thead>
        <tr>
            @if ($list->isOfSeveral())
                <th class="n">Machine</th>
            @endif
            <th>Start</th>
            <th>Run from</th>
            <th>End</th>
            <th>Order</th>
            <th>Step</th>
            <th>Item</th>
            <th class="n">Pieces</th>
            <th class="w1">Family</th>
            <th>Ready</th>
            <th class="w2">Papers</th>
            <th>Pace</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($list->cut->rows as $row)
            <tr>
                @if ($list->isOfSeveral())
                    <td class="n">{{ $row->machine }}</td>
                @endif
                <td class="tight">{{ $print->exact($row->startAt) }}</td>
                <td class="tight sub">{{ $row->runFrom() }}</td>
                <td class="tight">{{ $print->exact($row->endAt) }}</td>
                <td><a class="num" href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a></td>
                <td>{{ $row->step() }}</td>
                <td class="cut">{{ $row->item }}</td>
                <td class="n">{{ $print->amount($row->quantity) }}</td>
                <td class="w1">{{ $row->family }}</td>
                <td class="tight {{ $row->tone() }}">{{ $row->ready }}</td>
                <td class="w2 sub">{{ $row->papers }}</td>
                <td class="tight"><x-late :minutes="$row->lateMinutes" /></td>
            </tr>
        @endforeach
    </tbody>
</table>
