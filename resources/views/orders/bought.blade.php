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
        <x-more summary="Buy something for it that has no number" :open="$typed('buy')->isMine()">
            <x-form class="actions align-items-end" key="buy" :to="route('orders.buy', $order->id)">
                <x-field name="words" label="What" size="34" maxlength="200" required />
                <x-choice name="supplier" label="Of" :options="$suppliers" />
                <x-field name="quantity" label="Quantity" class="n" inputmode="decimal" required />
                <x-choice name="unit_id" label="Unit" :options="$units" />
                <x-field name="price" label="€ for one" class="n" inputmode="decimal" required />
                <x-day worked name="expected_on" label="Comes" required />
                <button class="btn btn-act">Put it on a draft</button>
            </x-form>
            <p class="sub">It comes into no stock: when it is booked in, it goes into the cost of this order.</p>
        </x-more>
    @endcan
@endif
