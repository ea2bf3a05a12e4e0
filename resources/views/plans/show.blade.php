@php($e = $compared->effect) @php($plan = $compared->plan) @php($h = fn (int $minutes): string => number_format($minutes / 60, 1, '.', "\u{202F}").' h')
<x-layout title="{{ $plan->name }}">
    <div class="head"><h1>{{ $plan->name }}</h1><span class="say">{{ $print->says($plan->says) }} Made {{ $print->when($plan->made_at) }}.</span><a href="{{ route('plans.index') }}">all plans</a><a href="{{ route('board', ['plan' => $plan->id]) }}">on the board</a></div>
    <p class="lead">@if ($e['lateBefore'] === $e['lateAfter']){{ $e['lateAfter'] }} orders late, as in the live plan.@else From {{ $e['lateBefore'] }} late orders to {{ $e['lateAfter'] }}.@endif All lateness from {{ $h($e['totalBefore']) }} to <b>{{ $h($e['totalAfter']) }}</b>.
        @if ($e['saved'] !== [])<span class="good">In time again: {{ collect($e['saved'])->pluck('number')->implode(', ') }}.</span>@endif
        @if ($e['late'] !== [])<span class="behind">Becomes late: {{ collect($e['late'])->map(fn ($one) => "{$one['number']} ({$one['says']})")->implode(', ') }}.</span>@else Nobody becomes late. @endif {{ $e['moved'] }} steps move.</p>
    @foreach ($plan->levers ?? [] as $lever)<p class="said note">It takes to be so: {{ $lever['says'] }}. {{ \App\Queries\Shop\PlanLever::of($lever)->canBeFact() ? 'Going live makes that so.' : 'A plan cannot make that true.' }}</p>@endforeach
    @if ($compared->since->isNotEmpty())
        <div class="said note"><span>Booked since it was worked out: {{ $compared->since->take(3)->map(fn ($one) => $one->says)->implode(' ') }}{{ $compared->since->count() > 3 ? ' And more.' : '' }} It is worked out again before it can go live.</span>
            @can('plan')<form method="post" action="{{ route('plans.again', $plan->id) }}">@csrf @token<button class="btn btn-act btn-small">Work it out again</button></form>@endcan</div>
    @endif
    @can('plan')
    <div class="actions">
        @if ($compared->since->isEmpty())<form method="post" action="{{ route('plans.live', $plan->id) }}">@csrf @token<input type="hidden" name="seen" value="{{ $seen }}"><button class="btn btn-act">Let it go live</button></form>@endif
        <form method="post" action="{{ route('plans.destroy', $plan->id) }}">@csrf @method('delete') @token<button class="btn btn-quiet">Throw it away</button></form>
    </div>
    @endcan
    <div class="halves">
        <section><h2>Late orders, before and after</h2>
            @if ($compared->late->isEmpty())<p class="none">No order is late in either plan.</p>@else
            <table class="list"><thead><tr><th>Order</th><th>Item</th><th>Due</th><th class="n">Live plan</th><th class="n">This one</th></tr></thead><tbody>
            @foreach ($compared->late as $row)<tr><td><a class="num" href="{{ route('orders.show', $row->id) }}">{{ $row->number }}</a></td><td class="cut">{{ $row->name }}</td><td>{{ $print->day($row->due_at) }}</td><td class="n {{ $row->before > 0 ? 'behind' : '' }}">{{ $row->before > 0 ? $print->pace($row->before) : 'in time' }}</td><td class="n {{ $row->after > 0 ? 'behind' : 'good' }}">{{ $row->after > 0 ? $print->pace($row->after) : 'in time' }}</td></tr>@endforeach
            </tbody></table>@endif
        </section>
        <section><h2>Load of the next days, live plan above, this one below</h2>
            <table class="list load-table"><thead><tr><th></th>@foreach (array_slice($compared->days, 0, -1) as $day)<th class="n">{{ $print->local($day)->format('D j') }}</th>@endforeach</tr></thead><tbody>
            @foreach ($compared->load as $row)<tr><td>{{ $row['name'] }}</td>@foreach ($row['before'] as $i => $minutes)@php($cap = $row['capacity'][$i] ?? 0)<td class="n">@if ($cap > 0 || $minutes > 0 || ($row['after'][$i] ?? 0) > 0){{ $cap > 0 ? intdiv(100 * $minutes, $cap) : '–' }}<br><b>{{ $cap > 0 ? intdiv(100 * ($row['after'][$i] ?? 0), $cap) : '–' }}</b>@endif</td>@endforeach</tr>@endforeach
            </tbody></table><p class="sub">In percent of the open machine time.</p>
        </section>
    </div>
    <h2>What moves{{ $compared->moves->count() < $e['moved'] ? ', the '.$compared->moves->count().' that move most' : '' }}</h2>
    @if ($compared->moves->isEmpty())<p class="none">Nothing moves.</p>@else
    <table class="list"><thead><tr><th>Order</th><th>Step</th><th>Where</th><th>Live plan</th><th>This one</th></tr></thead><tbody>
    @foreach ($compared->moves as $row)<tr><td><a class="num" href="{{ route('orders.show', $row->order_id) }}">{{ $row->order }}</a></td><td>{{ $row->number }} {{ $row->name }}</td><td>{{ $row->where }}{{ $row->from_machine === $row->to_machine ? '' : ", machine {$row->from_machine} → {$row->to_machine}" }}</td><td>{{ $print->when($row->from_at) }}</td><td>{{ $print->when($row->to_at) }}</td></tr>@endforeach
    </tbody></table>@endif
</x-layout>
