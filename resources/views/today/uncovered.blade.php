<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            <th>Customer</th>
            <th>Item</th>
            <th>Promised</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($today->uncovered->rows->take(7) as $line)
            <tr>
                <td class="tight">
                    <a class="num"
                        href="{{ route('customer-orders.show', $line->customerOrderId) }}">{{ $line->line() }}</a>
                </td>
                <td class="cut">{{ $line->customer }}</td>
                <td class="cut"><x-amount :of="$line->quantity" :unit="$line->unit" /> {{ $line->item }}</td>
                <td class="tight">{{ $print->day($line->promisedOn) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
