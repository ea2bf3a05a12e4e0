<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th>Item</th>
            <th class="n">Step</th>
            <th class="n">To issue</th>
            <th>Coming</th>
            <th>Why it was released</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($list->released as $one)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('orders.show', $one->part->orderId) }}">{{ $one->part->order }}</a>
                </td>
                <td>{{ $one->part->item }} <span class="sub text-nowrap">{{ $one->part->itemNumber }}</span></td>
                <td class="n">{{ $one->part->step }}</td>
                <td class="n"><x-amount :of="$one->toIssue" :unit="$one->part->unit" /></td>
                <td>
                    @foreach ($one->part->coming as $coming)
                        <span class="soon">
                            {{ $print->amount($coming->quantity) }}
                            {{ $coming->by->label() }}{{ $coming->commaArrival() }}{{
                                $loop->last && ! $one->part->missing->isPositive() ? '' : ';' }}</span>
                    @endforeach
                    @if ($one->isThere)
                        <span class="good">there, not issued yet</span>
                    @endif
                    @if ($one->part->missing->isPositive())
                        <span class="behind notched">{{ $print->amount($one->part->missing) }} not ordered</span>
                    @endif
                </td>
                <td class="sub">{{ $one->reasonSays() }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
