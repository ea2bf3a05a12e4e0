@php($late = (int) ($planned->late_minutes ?? 0))
@php($total = array_sum(array_column($rows, 'minutes')))
<x-layout title="{{ $order->number }}: why">
    <div class="head"><h1><a href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a> {{ $print->amount($order->quantity) }} {{ $order->item->name }}</h1><a href="{{ route('late.index') }}">all late orders</a><a href="{{ route('board', ['order' => $order->number]) }}">on the board</a></div>
    <p class="lead">@if ($planned === null || $planned->finish_at === null){{ $planned->unplaced ?? 'It is not in the plan.' }} @else Finishes {{ $print->when($planned->finish_at) }}, @if ($planned->due_at !== null) due {{ $print->when($planned->due_at) }}: <span class="{{ $late > 0 ? 'behind' : 'good' }}">{{ $print->pace($late) }}</span>. @else nobody waits for it. @endif {{ $sentence }} @endif</p>
    <div class="halves explains">
        <section><h2>From now to its completion</h2>
            @if ($rows === [])<p class="none">There is nothing to explain: it has no place in the plan.</p>@else
            <svg class="why-strip" viewBox="0 0 600 22" preserveAspectRatio="none" role="img" aria-label="The time to its completion by what it goes into; the same is listed below.">@php($x = 0.0)@foreach ($stretches as $row)@php($w = $row['minutes'] / max(1, $total) * 600)<rect class="cause-{{ Str::slug($row['cause']->value) }}" x="{{ round($x, 2) }}" y="1" width="{{ round($w, 2) }}" height="20"><title>{{ $row['says'] }}, {{ $print->minutes($row['minutes']) }}</title></rect>@php($x += $w)@endforeach</svg>
            <table class="list"><thead><tr><th>From</th><th>To</th><th class="n">Time</th><th>Goes into</th><th>Step</th></tr></thead><tbody>
            @foreach ($rows as $row)<tr><td class="tight">{{ $print->when($row['from']) }}</td><td class="tight">{{ $print->when($row['to']) }}</td><td class="n">{{ $print->minutes($row['minutes']) }}</td><td><span class="cause-{{ Str::slug($row['cause']->value) }} swatch"></span>{{ $row['says'] }}</td><td class="sub">{{ $row['order'] === $order->number ? '' : $row['order'] }} {{ $row['step'] }}</td></tr>@endforeach
            <tr><td colspan="2"><b>From {{ $print->when($now) }} to completion</b></td><td class="n"><b>{{ $print->minutes($total) }}</b></td><td colspan="2" class="sub">each minute once</td></tr>
            </tbody></table>@endif
        </section>
        <section><h2>What would help</h2>
            <div hx-get="{{ route('late.levers', $order->id) }}" hx-trigger="load"><p class="none">Trying each lever on the plan …</p></div>
        </section>
    </div>
</x-layout>
