<x-layout title="Goods in" data-plan>
    <div class="head">
        <h1>Goods in</h1>
        <span class="say">
            @if ($sheet)
                a delivery of <strong>{{ $sheet->supplier->name }}</strong>
            @else
                {{ $print->count(count($suppliers), 'supplier has', 'suppliers have', 'No supplier has') }} something to
                bring. Whose delivery is it?
            @endif
        </span>
        @if ($sheet)
            <a class="ms-auto" href="{{ route('deliveries.index') }}">Another supplier</a>
        @endif
    </div>
    @if ($sheet)
        @include('deliveries.sheet')
    @elseif ($suppliers === [])
        <div class="none">Nothing is to come.</div>
    @else
        <table class="list">
            <thead>
                <tr><th>Supplier</th><th class="n">Lines to come</th><th>First due</th></tr>
            </thead>
            <tbody>
                @foreach ($suppliers as $supplier)
                    <tr>
                        <td>
                            <a href="{{ route('deliveries.index', ['supplier' => $supplier->id]) }}">
                                {{ $supplier->name }}</a>
                        </td>
                        <td class="n">{{ $supplier->lines }}</td>
                        <td @class(['behind notched' => $supplier->isOverdue])>{{ $print->day($supplier->nextOn) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <p class="sub mt-2">
        What comes without an order of a supplier above, or belongs to a customer, is booked in at
        <a href="{{ route('stock.index') }}#in">Stock</a>.
    </p>
</x-layout>
