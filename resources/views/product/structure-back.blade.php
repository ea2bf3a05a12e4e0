{{-- What comes back of the orders of a structure, and what of the cost it carries. --}}
<h2>Comes back</h2>
<table class="list back">
    <thead>
        <tr>
            <th>Item</th>
            <th>As</th>
            <th class="n">Quantity</th>
            <th>Unit</th>
            <th class="n">For {{ $print->amount($page->cost->pieces) }}</th>
            <th class="w1">Carries cost</th>
            <th class="n">€ off</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->given as $row)
            <tr>
                <td>
                    <a class="num" href="{{ route('items.show', $row->itemId()) }}">{{ $row->number() }}</a>
                    {{ $row->name() }}
                </td>
                <td>{{ $row->kind() }}</td>
                <td class="n">{{ $print->amount($row->quantity()) }}</td>
                <td class="tight">{{ $row->unit() }}{{ $row->isPerOrder() ? ' an order' : '' }}</td>
                <td class="n">{{ $print->amount($row->total()) }}</td>
                <td class="w1">{{ $row->rule() }}</td>
                <td class="n">{{ $print->money($row->carries()) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
