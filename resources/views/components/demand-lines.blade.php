@props(['lines', 'customer' => true])
{{-- Lines of customer orders with how each is covered; of one customer, without saying whose. --}}
<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            @if ($customer)<th>Customer</th>@endif
            <th>Item</th>
            <th class="n">Ordered</th>
            <th>Unit</th>
            <th>Promised</th>
            <th>Covered</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($lines as $line)
            <tr>
                <td class="tight">
                    <a class="num" href="{{ route('customer-orders.show', $line->customerOrderId) }}">
                        {{ $line->line() }}</a>
                </td>
                @if ($customer)
                    <td class="cut">{{ $line->customer }} <span class="sub">{{ $line->reference }}</span></td>
                @endif
                <td class="cut">{{ $line->item }} <span class="sub">{{ $line->itemNumber }}</span></td>
                <td class="n">{{ $print->amount($line->quantity) }}</td>
                <td>{{ $line->unit }}</td>
                <td @class(['tight', 'behind' => $line->isOverdue()])>{{ $print->day($line->promisedOn) }}</td>
                <td><x-cover :line="$line" /></td>
            </tr>
        @endforeach
    </tbody>
</table>
