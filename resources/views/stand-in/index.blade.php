<x-layout title="The suppliers">
    <div class="head">
        <h1>The suppliers</h1>
        <span class="say">{{ $print->count($orders->count, 'order', 'orders', 'No order') }} with them.</span>
        @can('purchase')
            <x-form class="ms-auto mb-0 d-flex gap-1 align-items-center" method="put" key="go-by"
                :to="route('mails.go-by')">
                @if ($byClock)
                    <span class="sub">They go by the clock: they answer, bring on the day, and bill.</span>
                    <button class="btn btn-quiet btn-small" name="go_by" value="hand">Only by hand</button>
                @else
                    <span class="sub">They do only what you make them do.</span>
                    <button class="btn btn-quiet btn-small" name="go_by" value="clock">Let them go by the clock</button>
                @endif
            </x-form>
        @endcan
    </div>
    <p class="sub">
        This page belongs to the demo: it stands for the people at the other end. What they do is booked as they would
        have it booked, under a name of their own.
    </p>
    @if ($orders->rows->isEmpty())
        <div class="none">Nothing was ordered that is to be answered, brought or billed.</div>
    @else
        <div class="wide">
            <table class="list level">
                <thead>
                    <tr><th>Order</th><th>Supplier</th><th>What</th><th>To bring</th><th>What he does</th></tr>
                </thead>
                <tbody>
                    @foreach ($orders->rows as $order)
                        <tr>
                            <td class="tight">
                                <a class="num" href="{{ route('purchases.show', $order->id) }}">{{ $order->number }}</a>
                                <span class="sub">{{ $order->state->label() }}</span>
                            </td>
                            <td class="cut">{{ $order->supplier }}</td>
                            <td class="cut w1">{{ $order->what }}</td>
                            <td class="tight">{{ $print->day($order->expectedOn) }}</td>
                            <td>@include('stand-in.turns', ['turns' => $order->turns(), 'id' => $order->id])</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <x-cut :of="$orders" />
    @endif
</x-layout>
