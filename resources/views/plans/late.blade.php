@if ($compared->late->isEmpty())
    <p class="none">No order is late in either plan.</p>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Order</th>
                <th>Item</th>
                <th>Due</th>
                <th class="n">Live plan</th>
                <th class="n">This one</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($compared->late as $order)
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
@endif
