<x-layout :title="'Order '.$order->number" data-plan>
    @include('orders.head')
    @if ($page->short->scrapped->isPositive() && ! $order->state->isOver())
        @include('orders.short')
    @endif
    @include('orders.steps')
    @include('orders.components')
    @if ($page->beside !== [])
        @include('orders.beside')
    @endif
    @include('orders.bought')
    @if ($page->isOpen())
        @can('change-order')
            @include('orders.changes')
        @endcan
    @endif
    <div class="halves">
        <section>
            <h2>Cost, planned against actual</h2>
            <x-order-cost :of="$page->cost" />
        </section>
        <section>
            <h2>Changed on this order</h2>
            @if ($page->changes->isEmpty())
                <div class="none">As the master has it.</div>
            @else
                <table class="list">
                    <thead>
                        <tr>
                            <th>What</th>
                            <th>From</th>
                            <th>To</th>
                            <th>Who, when</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($page->changes as $change)
                            <tr>
                                <td>{{ $change->what }}</td>
                                <td>{{ $change->stoodBefore() }}</td>
                                <td>{{ $change->after }}</td>
                                <td class="sub">{{ $change->person }}, {{ $print->when($change->enteredAt) }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
        </section>
    </div>
    <h2>Booked on this order</h2>
    <x-bookings :rows="$page->bookings" />
    <x-reasons for="change" />
</x-layout>
