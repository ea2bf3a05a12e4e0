<table class="list">
    <thead>
        <tr>
            <th>When</th>
            <th>What</th>
            <th>From</th>
            <th>To</th>
            <th>Lot</th>
            <th class="n">In, out</th>
            <th class="n">Then on hand</th>
            <th class="n">Value €</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($moves as $move)
            <tr>
                <td class="tight" title="{{ $print->moment($move->enteredAt) }}, {{ $move->person }}">
                    <a href="{{ route('bookings.show', $move->bookingId) }}">{{ $print->exact($move->enteredAt) }}</a>
                </td>
                <td class="tight">
                    {{ $print->kind($move->kind) }}
                    @if ($move->orderId)
                        <a class="num" href="{{ route('orders.show', $move->orderId) }}">{{ $move->order }}</a>
                    @elseif ($move->customerOrderId)
                        <a class="num" href="{{ route('customer-orders.show', $move->customerOrderId) }}">
                            {{ $move->customerOrder }}</a>
                    @else
                        {{ $move->purchase }}
                    @endif
                </td>
                <td>{{ $move->from }}</td>
                <td>{{ $move->to }}</td>
                <td>{{ $move->lot }}</td>
                <td class="n">{{ $move->sign() }}{{ $print->amount($move->signed) }}</td>
                <td class="n">{{ $print->amount($move->onHand) }}</td>
                <td class="n">{{ $print->money($move->value) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
@if ($older !== null)
    <p class="mt-2">
        <a href="{{ route('stock.show', ['item' => $item->id, 'before' => $older]) }}">Older movements</a>
    </p>
@endif
