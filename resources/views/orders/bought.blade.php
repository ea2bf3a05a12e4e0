{{-- What is bought by words for this order alone, and goes straight into its cost. --}}
@if ($page->bought->isNotEmpty())
    <h2>Bought for this order alone</h2>
    <table class="list">
        <thead>
            <tr><th>Line</th><th>What</th><th>Supplier</th><th class="n">Quantity</th><th>Unit</th><th>Comes</th></tr>
        </thead>
        <tbody>
            @foreach ($page->bought as $line)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('purchases.show', $line->purchaseId) }}">{{ $line->number }}</a>
                    </td>
                    <td>{{ $line->words }}</td>
                    <td class="cut">{{ $line->supplier }}</td>
                    <td class="n">{{ $print->amount($line->quantity) }}</td>
                    <td>{{ $line->unit }}</td>
                    <td class="tight">{{ $line->isOpen ? $print->day($line->expectedOn) : $line->stands() }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
@if ($order->state->takesCost())
    @can('purchase')
        <x-more summary="Buy something for it that has no number" :open="$buy !== null">
            @if ($buy)
                @include('orders.buy')
            @else
                <x-later :from="route('orders.buy-form', $order->id)" />
            @endif
        </x-more>
    @endcan
@endif
