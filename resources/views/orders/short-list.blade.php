{{-- Orders in a few columns; why, strip and pace say which. --}}
@if ($rows->isEmpty())
    <div class="none">{{ $none }}</div>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Order</th>
                <th>Item</th>
                @if ($strip ?? false)
                    <th>Steps</th>
                @endif
                @if ($pace ?? false)
                    <th>Pace</th>
                @endif
                @if ($why ?? false)
                    <th>Why</th>
                @endif
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $order)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    </td>
                    <td class="cut">
                        <x-amount :of="$order->quantity" /> {{ $order->item }}
                        @if ($order->customers)
                            <span class="sub">{{ $order->customers }}</span>
                        @endif
                    </td>
                    @if ($strip ?? false)
                        <td class="strip"><x-pace :strip="$today->strips[$order->id]" :words="false" /></td>
                    @endif
                    @if ($pace ?? false)
                        <td class="tight"><x-late :minutes="$order->lateMinutes" /></td>
                    @endif
                    @if ($why ?? false)
                        <td class="fill"><x-readiness :of="$order->readiness" /></td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
