@php($a = $answer)
<x-layout title="Promise a date">
    <p class="lead">When could it be finished? Asked of all load, stock and expected receipts, through the whole structure. Nothing is saved by asking.</p>
    <form method="post" action="{{ route('promise.ask') }}" class="actions align-items-end">@csrf @token
        <x-field name="item" label="Item number" :value="$asked['item'] ?? ''" list="items" size="16" />
        <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="load"></datalist>
        <x-field name="quantity" label="How many" :value="$asked['quantity'] ?? ''" class="n" inputmode="decimal" /><x-day name="wanted" label="Wanted by" :value="$asked['wanted'] ?? ''" />
        <button class="btn btn-act">Ask</button>
    </form>
    @if ($a !== null)
        <section class="answer"><h2>{{ $a['made'] === '0' ? $a['stock'] : ($a['stock'] === '0' ? $a['made'] : $a['stock'].' + '.$a['made']) }} {{ $a['unit'] }} {{ $a['item'] }}</h2>
        <dl class="facts big">
            @if ($a['stock'] !== '0')<dt>From stock</dt><dd><b>{{ $a['stock'] }} now</b></dd>@endif
            @if ($a['nobody'] !== null)<dt>Moving nobody</dt><dd><b>{{ $a['nobody']['says'] }}</b> <span class="sub">no planned step moves</span></dd>
            <dt>Using others' slack</dt><dd>@if ($a['slack'] === null) not sooner @else<b>{{ $a['slack']['says'] }}</b> <span class="sub">others move, nobody becomes late</span>@endif</dd>@endif
            @if ($a['wanted'] !== null && $a['insist'] !== null)<dt>Wanted {{ $print->onDay($a['wanted']) }}</dt><dd>@if ($a['insist']['inTime'])<b>{{ $a['insist']['says'] }}</b>, in time @else <span class="behind notched">not to be had; the soonest is {{ $a['insist']['says'] }}</span>@endif,
                @if ($a['insist']['late'] === [])<span class="good">nobody becomes late</span>@else<span class="behind notched">becomes late or later: @foreach ($a['insist']['late'] as $name => $minutes){{ $name }} by {{ $print->minutes($minutes) }}{{ $loop->last ? '' : ', ' }}@endforeach</span>@endif</dd>@endif
            @if ($a['buy'] !== [])<dt>To be ordered first</dt><dd>@foreach ($a['buy'] as $name => $when){{ $name }} ({{ $when }}){{ $loop->last ? '' : ', ' }}@endforeach</dd>@endif
        </dl>
        @if ($a['nobody'] !== null)
        <form method="post" action="{{ route('promise.store') }}" class="actions align-items-end">@csrf @token
            @foreach (['item', 'quantity', 'unit'] as $name)<input type="hidden" name="{{ $name }}" value="{{ old($name) }}">@endforeach
            <div class="in"><label for="hold-how">Hold</label><select class="form-select" id="hold-how" name="how"><option value="nobody">{{ $a['nobody']['says'] }}, moving nobody</option>@if ($a['slack'] !== null && $a['slack']['finish'] < $a['nobody']['finish'])<option value="slack">{{ $a['slack']['says'] }}, using others' slack</option>@endif</select></div>
            <input type="hidden" name="finish" value="{{ $a['nobody']['finish'] }}">
            <x-field name="hours" label="For hours" value="4" class="n" inputmode="numeric" /><x-field name="for" label="For whom" size="18" maxlength="80" />
            <button class="btn btn-act">Hold the time</button></form>
        @endif</section>
    @endif
    <h2>Held now</h2>
    @if ($held->isEmpty())<p class="none">No date is held.</p>@else
    <table class="list"><thead><tr><th>Item</th><th class="n">Pieces</th><th>For</th><th>Finish</th><th>Held until</th><th>By</th><th></th></tr></thead><tbody>
    @foreach ($held as $row)<tr><td>{{ $row->name }} <span class="sub">{{ $row->number }}</span></td><td class="n">{{ $print->amount($row->quantity) }}</td><td>{{ $row->for }}</td><td>{{ $print->when($row->finish_at) }}</td><td>{{ $print->when($row->held_until) }}</td><td>{{ $row->person }}</td><td class="tight"><form method="post" action="{{ route('promise.destroy', $row->id) }}">@csrf @method('delete') @token<button class="btn btn-quiet btn-small">Let it go</button></form></td></tr>@endforeach
    </tbody></table>@endif
</x-layout>
