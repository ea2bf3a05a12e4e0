<x-layout title="Customer orders" :keys="['n' => 'new customer order']" data-plan>
    <div class="head">
        <h1>Customer orders</h1>
        <nav class="pick" aria-label="Show">
            @foreach ($shows as $key => $says)
                <a href="{{ $address($key) }}"
                    @if ($show === $key) aria-current="true" @endif>{{ $says }}</a>
            @endforeach
        </nav>
        <form class="d-flex gap-2">
            <input type="hidden" name="show" value="{{ $show }}">
            <input class="form-control" name="text" value="{{ $text }}"
                aria-label="Narrow by number, customer, reference or item" placeholder="number, customer, item">
        </form>
        @can('promise')
            <a class="btn btn-quiet ms-auto" href="{{ route('promise.index') }}">Promise a date</a>
        @endcan
        @can('enter-customer-order')
            <a class="btn btn-act" data-new href="{{ route('customer-orders.create') }}">New customer order</a>
        @endcan
    </div>
    @if ($cut->rows->isEmpty())
        <div class="none">No line is here. {{ $text !== '' ? "Nothing matches “{$text}”." : '' }}</div>
    @else
        <x-demand-lines :lines="$cut->rows" />
    @endif
    <x-cut :of="$cut" />
</x-layout>
