@php($here = fn (array $change): string => route('orders.index', array_filter([...['state' => $filter->state === 'open' ? null : $filter->state, 'readiness' => $filter->readiness, 'pace' => $filter->pace, 'text' => $filter->text, 'customer' => $filter->customer, 'work_centre' => $filter->workCentre, 'item' => $filter->item], ...$change])))
<x-layout title="Orders" :keys="['n' => 'release']">
    <div class="head"><h1>Orders</h1>
        <nav class="pick" aria-label="State">@foreach (['open', ...\App\Queries\Orders\OrderFilter::STATES] as $state)<a href="{{ $here(['state' => $state === 'open' ? null : $state]) }}" @if ($filter->state === $state) aria-current="true" @endif>{{ $state }}</a>@endforeach</nav>
        <span class="say">{{ $count === 1 ? '1 order' : number_format($count, 0, '.', ' ').' orders' }}{{ $filter->skip > 0 ? ', from number '.($filter->skip + 1) : '' }}</span><span class="ms-auto"></span><a href="{{ route('parts.index') }}">Parts of all</a><a href="{{ route('rank.index') }}">Rank</a>
    </div>
    <form class="filters" action="{{ route('orders.index') }}">
        <input type="hidden" name="state" value="{{ $filter->state }}">
        <div><label for="f-text">Number or item</label><input class="form-control" id="f-text" name="text" value="{{ $filter->text }}" size="16"></div>
        <div><label for="f-ready">Readiness</label><select class="form-select" id="f-ready" name="readiness" data-send><option value="">any</option>@foreach (['can-release' => 'can be released', 'ready' => 'all parts there', 'waits' => 'waits', 'stuck' => 'stuck', 'held' => 'held'] as $key => $word)<option value="{{ $key }}" @selected($filter->readiness === $key)>{{ $word }}</option>@endforeach</select></div>
        <div><label for="f-pace">Pace</label><select class="form-select" id="f-pace" name="pace" data-send><option value="">any</option>@foreach (['late' => 'will be late', 'soon' => 'due within 3 days', 'outside' => 'outside now'] as $key => $word)<option value="{{ $key }}" @selected($filter->pace === $key)>{{ $word }}</option>@endforeach</select></div>
        <div><label for="f-customer">Customer</label><select class="form-select" id="f-customer" name="customer" data-send><option value="">any</option>@foreach ($customers as $id => $name)<option value="{{ $id }}" @selected($filter->customer === $id)>{{ $name }}</option>@endforeach</select></div>
        <div><label for="f-wc">Work centre</label><select class="form-select" id="f-wc" name="work_centre" data-send><option value="">any</option>@foreach ($workCentres as $id => $name)<option value="{{ $id }}" @selected($filter->workCentre === $id)>{{ $name }}</option>@endforeach</select></div>
        <button class="btn btn-quiet" data-keep>Narrow</button> <a href="{{ route('orders.index') }}">All open</a>
    </form>
    @if ($rows->isEmpty())<div class="none">No order is like this.</div>@else
    <table class="list">
        <thead><tr><th>Order</th><th class="n">Pieces</th><th>Item</th><th class="w1">For</th><th class="w2">State</th><th>Steps, and where it should be by now</th><th>Pace</th><th class="w2">Due</th><th>Readiness</th></tr></thead>
        <tbody id="rows">
        @foreach ($rows as $row)
            <tr>
                <td class="tight"><a class="num" href="{{ route('orders.show', $row->id) }}" title="last booking {{ $print->ago($row->last_booking) }}">{{ $row->number }}</a></td>
                <td class="n">{{ $print->amount($row->quantity) }}</td><td class="cut">{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td>
                <td class="cut w1" style="max-width:9.5rem">{{ $row->for }}</td><td class="w2"><x-state :state="$row->state" :held="(bool) $row->is_held" /></td>
                <td class="strip"><x-pace :strip="$strips[$row->id]" :words="false" /></td>
                <td class="tight">@if ($row->late_minutes !== null && $row->due_on)<x-late :minutes="$row->late_minutes" />@endif</td>
                <td class="tight w2">{{ $print->day($row->due_on) }}</td><td class="fill"><x-readiness :row="$row" /></td>
            </tr>
        @endforeach
        @php($next = $filter->skip + $rows->count())
        @if ($next < $count)<tr hx-get="{{ $here(['skip' => $next]) }}" hx-trigger="revealed" hx-select="#rows > tr" hx-swap="outerHTML"><td colspan="9"><a href="{{ $here(['skip' => $next]) }}">{{ number_format($count - $next, 0, '.', ' ') }} more</a></td></tr>@endif
        </tbody>
    </table>
    @endif
    @can('change-order')
    <details class="more mt-3" @if ($errors->hasAny(['item', 'quantity', 'due_on'])) open @endif><summary>Make an order for the shelf</summary>
        <form class="actions align-items-end" method="post" action="{{ route('orders.store') }}">@csrf @token
            <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="toggle from:closest details once"></datalist>
            <div><label for="new-item">Item</label><input class="form-control" id="new-item" name="item" list="items" value="{{ old('item') }}" required><x-why field="item" /></div>
            <div><label for="new-quantity">Quantity</label><input class="form-control n" id="new-quantity" name="quantity" value="{{ old('quantity') }}" required inputmode="decimal"><x-why field="quantity" /></div>
            <x-day worked name="due_on" label="Due" />
            <label class="d-inline"><input type="checkbox" name="with_parts" value="1" checked> with orders for its short parts</label>
            <button class="btn btn-act">Make the order</button>
        </form>
    </details>
    @endcan
</x-layout>
