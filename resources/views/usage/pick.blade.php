@php($slip = $list->slip)
@php($open = $slip->state === 'open' && auth()->user()->can('issue'))
<x-layout :title="'Pick list '.$slip->id">
    <div class="head"><h1>Pick list {{ $slip->id }}</h1><span class="say">{{ $list->picked() }} of {{ $list->rows->count() }} picked, {{ $list->rows->pluck('order_number')->unique()->count() === 1 ? 'for order '.$list->rows->first()?->order_number : 'for '.$list->rows->pluck('order_number')->unique()->count().' orders' }}.</span>
        <span class="ms-auto"></span><a href="{{ route('slips.show', $slip->id) }}">The slip</a><a href="{{ route('slips.paper', $slip->id) }}" target="_blank">Print</a></div>
    @if ($open)
    <form class="actions" method="post" action="{{ route('slips.picked', $slip->id) }}">@csrf @token<input type="hidden" name="version" value="{{ $slip->version }}"><input type="hidden" name="do" value="scan">
        <x-field name="scan" label="Scan a lot, serial or item" size="26" maxlength="80" autofocus /><button class="btn btn-quiet align-self-end">Picked</button></form>
    @endif
    <form method="post" action="{{ route('slips.picked', $slip->id) }}">@csrf @token<input type="hidden" name="version" value="{{ $slip->version }}">
        @if ($list->rows->isEmpty())<div class="none">Nothing of it is in stores.</div>@else
        <table class="list pick-list"><thead><tr><th></th><th>Place</th><th>Item</th><th>Lot or serial</th><th class="n">Quantity</th><th>Unit</th><th>Order</th><th class="n">Step</th></tr></thead><tbody>
        @foreach ($list->rows as $i => $row)
            <tr @class(['again' => $i > 0 && $list->rows[$i - 1]->place === $row->place, 'picked' => $row->is_picked])><td><input type="checkbox" name="picked[]" value="{{ $row->id }}" @checked($row->is_picked) @disabled(! $open) aria-label="Picked: {{ $row->item_name }} {{ $row->code }} for {{ $row->order_number }}"></td><td>@if ($i === 0 || $list->rows[$i - 1]->place !== $row->place)<strong>{{ $row->place ?? 'no place yet' }}</strong>@endif</td><td>{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td>{{ $row->code }} @if ($row->expires_on)<span class="sub">until {{ $print->day($row->expires_on) }}</span>@endif</td><td class="n">{{ $print->amount($row->typed) }}</td><td>{{ $row->unit }}</td><td><a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order_number }}</a></td><td class="n">{{ $row->step_number }}</td></tr>
        @endforeach
        </tbody></table>
        @if ($open)<div class="actions"><button class="btn btn-act" name="do" value="book">Book what is picked</button><button class="btn btn-quiet" name="do" value="all">All of it is picked</button><button class="btn btn-quiet" name="do" value="tick">Keep the ticks</button></div>@endif @endif
    </form>
    @if ($list->missing->isNotEmpty())<h2>Not there</h2><table class="list"><tbody>@foreach ($list->missing as $row)<tr><td>{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td class="n behind notched">{{ $print->amount($row->quantity) }}</td><td>{{ $row->unit }}</td><td class="num">{{ $row->order_number }}</td></tr>@endforeach</tbody></table>@endif
</x-layout>
