@php($here = fn (string $show): string => route('parts.index', array_filter(['orders' => $chosen, 'show' => $show === 'open' ? null : $show])))
@php($orders = $rows->unique('order_id'))
<x-layout title="Parts of orders">
    <div class="head"><h1>Parts</h1><span class="say">{{ $chosen === [] ? 'All open orders' : (count($chosen) === 1 ? '1 order' : count($chosen).' orders') }}, by rank: {{ $orders->where('readiness', 'ready')->count() }} have all parts, {{ $orders->where('readiness', 'waits')->count() }} wait, {{ $orders->where('readiness', 'stuck')->count() }} are stuck.</span>
        <nav class="pick" aria-label="Which parts">@foreach (['open' => 'all open', 'waits' => 'not there yet', 'stuck' => 'not ordered'] as $key => $word)<a href="{{ $here($key) }}" @if ($show === $key) aria-current="true" @endif>{{ $word }}</a>@endforeach</nav><span class="ms-auto"></span>@if ($chosen !== [])<a href="{{ route('parts.index') }}">All open orders</a>@endif<a href="{{ route('shortages.index') }}">Shortages</a></div>
    @if ($rows->isEmpty())<div class="none">No part is like this.</div>@else
    <table class="list"><thead><tr><th>Order</th><th class="n">Step</th><th>Item</th><th class="n">Needed</th><th class="n">Used</th><th class="n">Allocated</th><th class="n">On hand</th><th>Coming</th><th class="n">Short</th><th>Unit</th></tr></thead>
    @foreach ($rows->groupBy('order_id') as $of) @php($order = $of->first())
        <tbody><tr class="order-head"><td class="tight"><a class="num" href="{{ route('orders.show', $order->order_id) }}">{{ $order->order_number }}</a> <x-state :state="$order->state" :held="(bool) $order->is_held" /></td><td></td><td colspan="8">{{ $order->made }} · <x-readiness :row="$order" /></td></tr>
        @foreach ($of as $row)<tr><td></td><td class="n">{{ $row->step_number }}</td><td><a href="{{ route('stock.show', $row->item_id) }}">{{ $row->item_name }}</a> <span class="sub">{{ $row->item_number }}</span></td><td class="n">{{ $print->amount($row->planned_quantity) }}</td><td class="n">{{ $row->used_quantity > 0 ? $print->amount($row->used_quantity) : '' }}</td><td class="n">{{ $row->from_stock > 0 ? $print->amount($row->from_stock) : '' }}</td><td class="n">{{ $print->amount($row->on_hand) }}</td>
            <td>@foreach (json_decode($row->coming) as $coming)<span class="soon">{{ $print->amount($coming->quantity) }} with {{ $coming->supply }}{{ $coming->at ? ', '.$print->day($coming->at) : '' }}</span>{{ $loop->last ? '' : '; ' }} @endforeach</td><td class="n">@if ($row->missing > 0)<span class="behind notched">{{ $print->amount($row->missing) }}</span>@endif</td><td>{{ $row->unit }}</td></tr>@endforeach</tbody>
    @endforeach</table>@endif
    <x-cut :of="$cut" />
</x-layout>
