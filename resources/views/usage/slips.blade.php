<table class="list">
    <thead>
        <tr>
            <th>Slip</th>
            <th>For</th>
            <th class="n">Lines</th>
            <th>Last</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($slips as $slip)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('slips.show', $slip->id) }}">{{ $slip->id }}</a>
                    @if ($slip->isBooked())
                        <span class="tag">booked</span>
                    @elseif ($slip->picked > 0)
                        <span class="tag running">{{ $slip->picked }} picked</span>
                    @endif
                </td>
                <td>{{ $slip->ordersSay() }} <span class="sub">{{ $slip->note }}</span></td>
                <td class="n">{{ $slip->lines }}</td>
                <td class="sub tight">{{ $slip->person }}, {{ $print->when($slip->updatedAt) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
