<table class="list" id="short">
    <thead>
        <tr>
            <th>Order</th>
            <th>Item</th>
            <th class="n">Step</th>
            <th class="n">Short</th>
            <th>Unit</th>
            <th>Order by</th>
            <th>Due</th>
        </tr>
    </thead>
    @foreach ($shown->rows as $parts)
        <tbody class="together">
            @foreach ($parts as $part)
                <tr>
                    <td class="tight">
                        @if ($loop->first)
                            <a class="num" href="{{ route('orders.show', $part->orderId) }}">{{ $part->order }}</a>
                            <x-state :state="$part->orderState" />
                        @endif
                    </td>
                    <td>
                        <a href="{{ route('stock.show', $part->itemId) }}">{{ $part->item }}</a>
                        <span class="sub text-nowrap">{{ $part->itemNumber }}</span>
                    </td>
                    <td class="n">{{ $part->step }}</td>
                    <td class="n behind notched">{{ $print->amount($part->missing) }}</td>
                    <td>{{ $part->unit }}</td>
                    <td @class(['tight', 'behind notched' => $part->isTooLateToOrder($list->today())])>
                        {{ $part->orderBy === null ? 'any day' : $print->day($part->orderBy) }}
                    </td>
                    <td class="tight">{{ $loop->first ? $print->day($part->dueOn) : '' }}</td>
                </tr>
            @endforeach
        </tbody>
    @endforeach
</table>
