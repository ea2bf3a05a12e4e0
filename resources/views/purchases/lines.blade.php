{{-- Lines ordered of suppliers: of one order, or of all with who supplies them. --}}
<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            @if ($all)
                <th>Supplier</th>
            @endif
            <th>Item</th>
            <th class="n">Ordered</th>
            <th class="n w2">Received</th>
            <th class="n">To come</th>
            <th>Unit</th>
            <th class="n w2">€ each</th>
            <th>Expected</th>
            <th class="w1">Orders that wait</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($lines->rows as $line)
            <tr>
                <td class="tight">
                    @if ($all && $line->orderId)
                        <a class="num" href="{{ route('purchases.show', $line->orderId) }}">{{ $line->number }}</a>
                    @else
                        <span class="num">{{ $line->number }}</span>
                    @endif
                </td>
                @if ($all)
                    <td class="cut">{{ $line->supplier }}</td>
                @endif
                <td>
                    <a href="{{ route('stock.show', $line->itemId) }}">{{ $line->item }}</a>
                    <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
                </td>
                <td class="n">{{ $print->amount($line->quantity) }}</td>
                <td class="n w2">{{ $print->some($line->received) }}</td>
                <td class="n">{{ $line->isOpen ? $print->amount($line->toCome()) : '' }}</td>
                <td>{{ $line->unit }}</td>
                <td class="n w2">{{ $print->price($line->price) }}</td>
                <td @class(['comes' => $line->isLate(), 'behind notched' => $line->isLate()])>
                    {{ $line->arrivalSays() }}
                    @if ($line->isHurried())
                        <span class="sub">hurried</span>
                    @endif
                    @if ($line->historySays() !== '')
                        <div class="sub">{{ $line->historySays() }}</div>
                    @endif
                </td>
                <td class="cut w1">
                    @foreach ($waiting[$line->number] ?? [] as $order)
                        <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    @endforeach
                </td>
                <td class="tight">
                    @if ($line->isOpen)
                        <x-purchase-change :line="$line" />
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
<x-cut :of="$lines" />
