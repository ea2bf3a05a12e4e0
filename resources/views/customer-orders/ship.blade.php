<x-layout title="Ship">
    <div class="head">
        <h1>Ship</h1>
        <span class="say">{{ $says }}</span>
    </div>
    @if ($orders->isNotEmpty())
        <table class="list">
            <thead>
                <tr>
                    <th>Line</th>
                    <th class="w2">Customer, ship to</th>
                    <th>Item</th>
                    <th>Promised</th>
                    <th class="n w1">Open</th>
                    <th class="n">Ready</th>
                    <th class="n">Ship</th>
                    <th>Unit</th>
                    <th>Lot or serial</th>
                    <th></th>
                </tr>
            </thead>
            @foreach ($orders as $id => $lines)
                <tbody id="o{{ $id }}" class="together">
                    @foreach ($lines as $line)
                        @include('customer-orders.ship-line')
                    @endforeach
                </tbody>
            @endforeach
        </table>
    @endif
</x-layout>
