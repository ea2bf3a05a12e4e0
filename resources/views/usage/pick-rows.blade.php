<table class="list pick-list">
    <thead>
        <tr>
            <th></th>
            <th>Place</th>
            <th>Item</th>
            <th>Lot or serial</th>
            <th class="n">Quantity</th>
            <th>Unit</th>
            <th>Order</th>
            <th class="n">Step</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($list->rows as $at => $row)
            <tr @class(['again' => $list->isOfPlaceAbove($at), 'picked' => $row->isPicked])>
                <td>
                    <input type="checkbox" name="picked[]" value="{{ $row->id }}" @checked($row->isPicked)
                        @disabled(! $mayBook)
                        aria-label="Picked: {{ $row->item }} {{ $row->code }} for {{ $row->order }}">
                </td>
                <td>
                    @if (! $list->isOfPlaceAbove($at))
                        <strong>{{ $row->place ?? 'no place yet' }}</strong>
                    @endif
                </td>
                <td>{{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span></td>
                <td>
                    {{ $row->code }}
                    @if ($row->expiresOn)
                        <span class="sub">until {{ $print->day($row->expiresOn) }}</span>
                    @endif
                </td>
                <td class="n">{{ $print->amount($row->typed) }}</td>
                <td>{{ $row->unit }}</td>
                <td><a class="num" href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a></td>
                <td class="n">{{ $row->step }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
