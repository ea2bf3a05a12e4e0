<x-layout title="Late orders">
    <p class="lead">{{ $orders->isEmpty() ? 'No order will miss its date.' : ($orders->count() === 1 ? '1 order will miss its date.' : $orders->count().' orders will miss their date.') }} @if ($forParts > 0)<span class="behind">{{ $forParts }} for parts nobody has ordered</span>, {{ $forTime }} for time: machines, people, suppliers, parts that are on their way.@endif</p>
    @if ($orders->isEmpty())<p class="none">When one will, it stands here with what it waits for and what would help. <a href="{{ route('board') }}">Board</a></p>@else
    <table class="list"><thead><tr><th>Order</th><th>Item</th><th>Due</th><th>Finish</th><th>Late by</th><th class="w2">Pace</th>@if ($forParts > 0)<th>Late for</th>@endif<th>What it waits for</th><th></th></tr></thead><tbody>
    @foreach ($orders as $order)
        <tr><td><a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a></td><td class="cut">{{ $print->amount($order->quantity) }} {{ $order->item_name }}</td><td class="tight">{{ $print->day($order->due_at) }}</td><td class="tight">{{ $print->when($order->finish_at) }}</td><td class="tight"><x-late :minutes="$order->late_minutes" /></td>
            <td class="strip w2">@isset($strips[$order->id])<x-pace :strip="$strips[$order->id]" :words="false" />@endisset</td>@if ($forParts > 0)<td class="tight">{{ $order->late_for?->label() }}</td>@endif<td>{{ $order->cause }}</td><td class="tight"><a href="{{ route('late.show', $order->id) }}">Levers</a></td></tr>
    @endforeach
    </tbody></table>@endif
</x-layout>
