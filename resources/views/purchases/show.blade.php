<x-layout :title="'Purchase '.$order->number">
    <div class="head">
        <h1>Purchase {{ $order->number }}</h1>
        <span class="say">{{ $order->supplier->name }}, ordered {{ $print->day($order->ordered_on) }}.</span>
        <a class="ms-auto" href="{{ route('purchases.index') }}">All purchases</a>
    </div>
    @include('purchases.lines', ['all' => false])
</x-layout>
