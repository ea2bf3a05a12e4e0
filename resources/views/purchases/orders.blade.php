{{-- Purchase orders: drafts, those nobody confirmed, those answered otherwise, or all. --}}
<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th>Supplier</th>
            <th>State</th>
            <th>Put down</th>
            <th>Sent</th>
            <th>Confirmed</th>
            <th class="n">Lines</th>
            <th class="n">€</th>
            <th>Comes next</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($orders->rows as $order)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('purchases.show', $order->id) }}">{{ $order->number }}</a>
                </td>
                <td class="cut">{{ $order->supplier }}</td>
                <td>
                    {{ $order->state->label() }}
                    @if ($order->isChanged)<span class="soon">changed since</span>@endif
                </td>
                <td class="tight">{{ $print->day($order->orderedOn) }}</td>
                <td class="tight">{{ $print->day($order->sentOn) }}</td>
                <td class="tight">{{ $print->day($order->confirmedOn) }}</td>
                <td class="n">{{ $order->lines }}</td>
                <td class="n">{{ $print->money($order->cents()) }}</td>
                <td class="tight">{{ $print->day($order->nextOn) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
<x-cut :of="$orders" />
