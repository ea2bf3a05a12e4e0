<x-layout :title="'Purchase '.$order->number">
    <div class="head">
        <h1>Purchase {{ $order->number }}</h1>
        <span class="say">
            <a href="{{ route('suppliers.show', $order->supplier_id) }}">{{ $order->supplier->name }}</a>, ordered
            {{ $print->day($order->ordered_on) }}. {{ $order->supplier->terms }}
        </span>
        <a class="ms-auto" href="{{ route('purchases.index') }}">All purchases</a>
    </div>
    @include('purchases.lines', ['all' => false])
</x-layout>
