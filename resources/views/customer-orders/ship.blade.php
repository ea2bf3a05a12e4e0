<x-layout title="Ship">
    <div class="head"><h1>Ship</h1><span class="say">{{ $orders->isEmpty() ? 'No customer line has stock waiting for it.' : ($orders->flatten(1)->count() === 1 ? '1 line' : $orders->flatten(1)->count().' lines').' of '.($orders->count() === 1 ? '1 customer order' : $orders->count().' customer orders').' can go.' }}</span></div>
    @if ($orders->isNotEmpty())
    <table class="list">
        <thead><tr><th>Line</th><th class="w2">Customer, ship to</th><th>Item</th><th>Promised</th><th class="n w1">Open</th><th class="n">Ready</th><th class="n">Ship</th><th>Unit</th><th>Lot or serial</th><th></th></tr></thead>
        @foreach ($orders as $id => $lines)
        <tbody id="o{{ $id }}" class="together">
            @foreach ($lines as $line)
            <tr><td class="tight"><a class="num" href="{{ route('customer-orders.show', $id) }}">{{ $line->number }}/{{ $line->position }}</a></td><td class="cut w2" title="{{ $line->ship_to ?: $line->address }}">@if ($loop->first){{ $line->customer }} <span class="sub">{{ $line->ship_to ?: $line->address }}</span>@endif</td>
                <td class="cut">{{ $line->item_name }} <span class="sub">{{ $line->item_number }}</span></td><td @class(['tight', 'behind notched' => $line->promised_on < $print->today()->toDateString()])>{{ $print->day($line->promised_on) }}</td>
                <td class="n w1">{{ $print->amount($line->open) }}</td>
                <td class="n">{{ $print->amount($line->ready) }}</td>
                <td class="n"><input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.{$line->id}.quantity")]) form="ship{{ $id }}" name="lines[{{ $line->id }}][quantity]" value="{{ old("lines.{$line->id}.quantity", $print->amount($line->ready)) }}" aria-label="Ship of {{ $line->number }} line {{ $line->position }}" inputmode="decimal" @cannot('ship') disabled @endcannot><x-why field="lines.{{ $line->id }}.quantity" /></td>
                <td>{{ $line->unit }}</td>
                <td>@if ($line->tracking !== 'none')<select class="form-select" form="ship{{ $id }}" name="lines[{{ $line->id }}][lot]" aria-label="Lot of {{ $line->number }} line {{ $line->position }}"><option value="0">oldest first</option>@foreach ($line->lots as $lot)<option value="{{ $lot->id }}" @selected(old("lines.{$line->id}.lot") == $lot->id)>{{ $lot->code }} ({{ $print->amount($lot->quantity) }})</option>@endforeach</select>@endif</td>
                <td class="tight">@if ($loop->first) @can('ship')<form id="ship{{ $id }}" method="post" action="{{ route('ship.store', $id) }}">@csrf @token<button class="btn btn-act btn-small">Ship {{ $line->number }}</button></form>@endcan @endif</td></tr>
            @endforeach
        </tbody>
        @endforeach
    </table>
    @endif
</x-layout>
