@props(['rows'])
{{-- Stock by item, place, lot and condition. --}}
<table class="list">
    <thead>
        <tr>
            <th>Item</th>
            <th>Place</th>
            <th>Lot or serial</th>
            <th>Condition</th>
            <th class="n">On hand</th>
            <th>Unit</th>
            <th class="n">Promised, item</th>
            <th class="n">Value €</th>
        </tr>
    </thead>
    <tbody>
    @foreach ($rows->groupBy('itemId') as $ofItem)
        @foreach ($ofItem as $row)
            <tr @class(['again' => ! $loop->first])>
                <td>
                    @if ($loop->first)
                        <a class="num" href="{{ route('stock.show', $row->itemId) }}">{{ $row->itemNumber }}</a>
                        {{ $row->itemName }}
                    @endif
                </td>
                <td>{{ $row->place }}</td>
                <td>
                    @if ($row->serials > 1)
                        <a href="{{ route('stock.show', $row->itemId) }}">{{ $row->serials }} serials</a>
                        <span class="sub">{{ $row->lot }} to {{ $row->lastLot }}</span>
                    @else{{ $row->lot }}@endif
                </td>
                <td><x-stock-marks :row="$row" /></td>
                <td class="n">{{ $print->amount($row->quantity) }}</td>
                <td>{{ $row->unit }}</td>
                <td class="n">
                    @if ($loop->first && $row->promised->isPositive()){{ $print->amount($row->promised) }}@endif
                </td>
                <td class="n">{{ $print->money($row->value) }}</td>
            </tr>
        @endforeach
    @endforeach
    </tbody>
</table>
