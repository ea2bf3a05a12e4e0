{{-- Orders late in one of two plans; $before and $after are what the two are called. --}}
<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th>Item</th>
            <th>Due</th>
            <th class="n">{{ $before }}</th>
            <th class="n">{{ $after }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($late as $order)
            <tr>
                <td><a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a></td>
                <td class="cut">{{ $order->item }}</td>
                <td>{{ $print->day($order->dueAt) }}</td>
                <td @class(['n', 'behind' => $order->before > 0])>
                    {{ $order->before > 0 ? $print->pace($order->before) : 'in time' }}
                </td>
                <td @class(['n', $order->after > 0 ? 'behind' : 'good'])>
                    {{ $order->after > 0 ? $print->pace($order->after) : 'in time' }}
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
