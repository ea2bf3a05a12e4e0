<x-layout title="Receive">
    <div class="head">
        <h1>Receive</h1>
        <span class="say">
            @if ($orders->isEmpty())
                No order has good pieces at its last step.
            @else
                Good pieces at their last step, and what is only put together, to be taken into stock.
            @endif
        </span>
    </div>
    @if ($orders->isNotEmpty())
        <table class="list">
            <thead>
                <tr>
                    <th>Order</th>
                    <th>Item</th>
                    <th class="w1">For</th>
                    <th class="n">Ready</th>
                    <th class="n w2">Received so far</th>
                    @can('receive')
                        <th class="n">Receive</th><th>To</th><th>Lot or serials</th><th></th>
                    @endcan
                </tr>
            </thead>
            <tbody>
            @foreach ($orders as $order)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    </td>
                    <td class="cut">{{ $order->item }} <span class="sub">{{ $order->itemNumber }}</span></td>
                    <td class="cut w1">{{ $order->forWhom() }}</td>
                    <td class="n">{{ $print->some($order->ready) }} {{ $order->unit }}</td>
                    <td class="n w2">{{ $order->receivedSays() }}</td>
                    @can('receive')
                        <x-receive-cells :order="$order" :places="$places" />
                    @endcan
                </tr>
                @foreach ($order->beside as $line)
                    @if ($line->open()->isPositive())
                        @include('orders.receive-beside')
                    @endif
                @endforeach
            @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
