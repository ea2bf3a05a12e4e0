<x-layout title="Promise a date">
    <p class="lead">When could it be finished? Asked of all load, stock and expected receipts, through the whole structure. Nothing is saved by asking.</p>
    <form method="post" action="{{ route('promise.ask') }}" class="actions align-items-end">@csrf @token
        <x-field name="item" label="Item number" :value="$asked['item'] ?? ''" list="items" size="16" />
        <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="load"></datalist>
        <x-field name="quantity" label="How many" :value="$asked['quantity'] ?? ''" class="n" inputmode="decimal" /><x-day name="wanted" label="Wanted by" :value="$asked['wanted'] ?? ''" />
        <button class="btn btn-act">Ask</button>
    </form>
    @if ($answer !== null)
        <section class="answer"><h2>{{ $answer['made'] === '0' ? $answer['stock'] : ($answer['stock'] === '0' ? $answer['made'] : $answer['stock'].' + '.$answer['made']) }} {{ $answer['unit'] }} {{ $answer['item'] }}</h2>
        <dl class="facts big">
            @if ($answer['stock'] !== '0')<dt>From stock</dt><dd><b>{{ $answer['stock'] }} now</b></dd>@endif
            @if ($answer['nobody'] !== null)<dt>Moving nobody</dt><dd><b>{{ $answer['nobody']['says'] }}</b> <span class="sub">no planned step moves</span></dd>
            <dt>Using others' slack</dt><dd>@if ($answer['slack'] === null) not sooner @else<b>{{ $answer['slack']['says'] }}</b> <span class="sub">others move, nobody becomes late</span>@endif</dd>@endif
            @if ($answer['wanted'] !== null && $answer['insist'] !== null)<dt>Wanted {{ $print->onDay($answer['wanted']) }}</dt><dd>@if ($answer['insist']['inTime'])<b>{{ $answer['insist']['says'] }}</b>, in time @else <span class="behind notched">not to be had; the soonest is {{ $answer['insist']['says'] }}</span>@endif,
                @if ($answer['insist']['late'] === [])<span class="good">nobody becomes late</span>@else<span class="behind notched">becomes late or later: @foreach ($answer['insist']['late'] as $name => $minutes){{ $name }} by {{ $print->minutes($minutes) }}{{ $loop->last ? '' : ', ' }}@endforeach</span>@endif</dd>@endif
            @if ($answer['buy'] !== [])<dt>To be ordered first</dt><dd>@foreach ($answer['buy'] as $name => $when){{ $name }} ({{ $when }}){{ $loop->last ? '' : ', ' }}@endforeach</dd>@endif
        </dl>
        @if ($answer['nobody'] !== null)
        <form method="post" action="{{ route('promise.store') }}" class="actions align-items-end">@csrf @token
            @foreach (['item', 'quantity', 'unit'] as $name)<input type="hidden" name="{{ $name }}" value="{{ old($name) }}">@endforeach
            <div class="in"><label for="hold-how">Hold</label><select class="form-select" id="hold-how" name="how"><option value="nobody">{{ $answer['nobody']['says'] }}, moving nobody</option>@if ($answer['slack'] !== null && $answer['slack']['finish'] < $answer['nobody']['finish'])<option value="slack">{{ $answer['slack']['says'] }}, using others' slack</option>@endif</select></div>
            <input type="hidden" name="finish" value="{{ $answer['nobody']['finish'] }}">
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
