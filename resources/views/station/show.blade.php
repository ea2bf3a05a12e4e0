@php($here = $steps->filter(fn ($step) => \Brick\Math\BigDecimal::of($step->taken_in)->isGreaterThan($step->passed_on)))
@php($coming = $steps->diffKeys($here)->filter(fn ($step) => $step->start_at !== null))
<x-layout :title="$centre->name" class="station">
    <div class="head"><h1>{{ $centre->name }}</h1><span class="say">{{ $here->count() === 1 ? '1 job stands here' : $here->count().' jobs stand here' }}, {{ $coming->count() }} on the way.</span><a class="ms-auto" href="{{ route('dispatch.show', $centre->id) }}">Dispatch list</a>@can('say-absent')<a href="{{ route('absence.index', ['centre' => $centre->id]) }}">Machine down</a>@endcan<a href="{{ route('station.index') }}">Other station</a></div>
    @if ($here->isEmpty())<div class="none">Nothing stands at this station. What is on the way is listed below.</div>@endif
    @foreach ($here as $step)
        @php($todo = \Brick\Math\BigDecimal::of($step->taken_in)->minus($step->good)->minus($step->scrap))
        @php($hand = \Brick\Math\BigDecimal::of($step->good)->minus($step->passed_on))
        @php($form = new \App\Http\Typed("step-{$step->id}"))
        <article @class(['job', 'now' => $step->started_at]) id="s{{ $step->id }}">
            <div class="d-flex gap-3 align-items-baseline flex-wrap"><h2><a href="{{ route('orders.show', $step->order_id) }}">{{ $step->order_number }}</a> · {{ $step->number }} {{ $step->name }}</h2><span>{{ $step->item_name }} <span class="sub">{{ $step->item_number }}</span></span>
                @if ($step->started_at)<span class="tag running">running since {{ $print->when($step->started_at) }}, {{ $step->worker }}</span>@endif
                @if ($step->parts_open > 0)<a class="soon" href="{{ route('issue.index', ['orders' => [$step->order_id]]) }}">{{ $step->parts_open === 1 ? '1 part' : $step->parts_open.' parts' }} not issued yet</a>@endif
                <span class="ms-auto">planned {{ $print->when($step->start_at) }} · <x-late :minutes="(int) $step->late_minutes" /></span></div>
            @if ($step->instructions !== '')<p class="sub mb-1">{{ $step->instructions }}</p>@endif
            @can('report')
            <div class="d-flex gap-3 flex-wrap align-items-end mt-1">
                @if (! $step->started_at && $todo->isPositive())<form method="post" action="{{ route('station.start', $step->id) }}">@csrf @token<button class="btn btn-quiet">Start</button></form>@endif
                <details class="count" @if ($step->started_at || $loop->first || $form->isMine()) open @endif><summary>Count</summary>
                <form class="d-flex gap-2 flex-wrap align-items-end" method="post" action="{{ route('station.report', $step->id) }}">@csrf @token($form->form)
                    <x-field :in="$form" name="good" :label="'Good, of '.$print->amount($todo)" class="n" :value="$print->amount($todo)" inputmode="decimal" />
                    <x-field :in="$form" name="scrap" label="Scrap" class="n" value="0" inputmode="decimal" />
                    <x-field :in="$form" name="reason" label="Why scrap" size="9" maxlength="200" />
                    @if ($step->next_number)<x-field :in="$form" name="pass_on" :label="'Pass on to '.$step->next_number" class="n" :value="$print->amount($todo->plus($hand))" inputmode="decimal" />@endif
                    <x-field :in="$form" name="minutes" label="Minutes" class="n" :placeholder="$step->clock === null ? '0' : $step->clock.' by the clock'" inputmode="numeric" />
                    <button class="btn btn-act">{{ $step->next_number ? 'Count and pass on' : 'Count' }}</button>
                </form></details>
                @if ($hand->isPositive())<span class="sub">{{ $print->amount($hand) }} good in hand{{ $step->next_number ? '' : ', to be received' }}</span>@endif
            </div>
            @endcan
        </article>
    @endforeach
    @if ($coming->isNotEmpty())
    <h2>On the way{{ $coming->count() > 12 ? ', the next 12 of '.$coming->count() : '' }}</h2>
    <table class="list"><thead><tr><th>Planned</th><th>Order</th><th>Step</th><th>Item</th><th class="n">Pieces</th></tr></thead><tbody>@foreach ($coming->take(12) as $step)<tr><td class="tight">{{ $print->when($step->start_at) }}</td><td><a class="num" href="{{ route('orders.show', $step->order_id) }}">{{ $step->order_number }}</a></td><td>{{ $step->number }} {{ $step->name }}</td><td>{{ $step->item_name }}</td><td class="n">{{ $print->amount($step->quantity) }}</td></tr>@endforeach</tbody></table>
    @endif
    <x-cut :of="$cut" />
</x-layout>
