<table class="list">
    <thead>
        <tr>
            <th><input type="checkbox" data-all=".pick-issue" aria-label="All orders"></th>
            <th>Order</th>
            <th>Item</th>
            <th class="n">Pieces</th>
            <th class="n">Open lines</th>
            <th class="n">There</th>
            <th>Due</th>
        </tr>
    </thead>
    <tbody>
        @forelse ($orders as $order)
            <tr>
                <td>
                    <input type="checkbox" name="orders[]" value="{{ $order->id }}" data-counts class="pick-issue"
                        @checked(in_array($order->id, $chosen)) aria-label="Order {{ $order->number }}">
                </td>
                <td>
                    <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    <x-state :state="$order->state" />
                </td>
                <td class="cut">{{ $order->item }} <span class="sub">{{ $order->itemNumber }}</span></td>
                <td class="n">{{ $print->amount($order->quantity) }}</td>
                <td class="n">{{ $order->openLines }}</td>
                <td @class(['n', 'behind notched' => $order->thereLines < $order->openLines])>
                    {{ $order->thereLines }}
                </td>
                <td class="tight">{{ $print->day($order->dueOn) }}</td>
            </tr>
        @empty
            <tr>
                <td colspan="7" class="sub">Nothing is left to issue to any released order.</td>
            </tr>
        @endforelse
    </tbody>
</table>
