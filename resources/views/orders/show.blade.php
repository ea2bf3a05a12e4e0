@php($order = $page->order)
@php($open = in_array($order->state, ['firm', 'released', 'running']))
@php($total = ['planned' => 0, 'actual' => 0])
@php($typed = fn (string $form) => new \App\Http\Typed($form))
<x-layout :title="'Order '.$order->number">
    <div class="head"><h1>Order {{ $order->number }}</h1><x-state :state="$order->state" :held="(bool) $order->is_held" />
        <span class="say"><strong>{{ $print->amount($order->quantity) }} {{ $order->unit }}</strong> <a href="{{ route('stock.show', $order->item_id) }}">{{ $order->item_name }}</a> {{ $order->item_number }}@if ($order->revision), structure {{ $order->revision }}@endif · due {{ $print->day($order->due_on) }} · last booking {{ $print->ago($order->last_booking) }}</span>
        <span class="ms-auto d-flex gap-2">
        @if ($order->state === 'firm') @can('release')<form method="post" action="{{ route('release.store') }}">@csrf @token<input type="hidden" name="orders[]" value="{{ $order->id }}"><button class="btn btn-act">Release</button></form>@endcan @endif
        @if (in_array($order->state, ['released', 'running'])) @can('issue')<a class="btn btn-quiet" href="{{ route('issue.index', ['orders' => [$order->id]]) }}">Issue components</a>@endcan @endif
        @if ($order->state === 'built') @can('close')<form method="post" action="{{ route('orders.close', $order->id) }}">@csrf @token<button class="btn btn-act">Close and settle the cost</button></form>@endcan @endif
        </span>
    </div>
    <div class="mb-2" style="max-width:46rem"><x-pace :strip="$page->strip" :width="560" :late="$order->due_on && $open ? $order->late_minutes : null" /></div>
    <p class="mb-2">@if ($open)<x-readiness :row="$order" />@if ($order->finish_at), planned to finish {{ $print->when($order->finish_at) }} (<a href="{{ route('late.show', $order->id) }}">why then</a>, <a href="{{ route('board', ['order' => $order->number]) }}">on the board</a>)@endif @endif
        @foreach ($page->ties as $tie) {{ $open || ! $loop->first ? '· ' : '' }}for <a href="{{ route('customer-orders.show', $tie->customer_order_id) }}">{{ $tie->number }}/{{ $tie->position }}</a> {{ $tie->customer }}@if ($tie->quantity > 0) ({{ $print->amount($tie->quantity) }} promised for {{ $print->day($tie->promised_on) }})@endif @endforeach
        @if ($page->ties->isEmpty() && $order->for_order_id === null) {{ $open ? '· ' : '' }}for the shelf @endif
        @foreach ($page->related as $other) · {{ $other->for_order_id === $order->id ? 'its part' : 'for' }} <a href="{{ route('orders.show', $other->id) }}">{{ $other->number }}</a> {{ $other->item_name }}, {{ $other->state }}@endforeach
        @if ($page->orderBy) · <span @class(['behind notched' => $page->isTooLate, 'soon' => ! $page->isTooLate])>{{ $page->orderBy }}</span>@endif
        @if ($order->short_reason) · <span class="soon">released short: {{ $order->short_reason }}</span>@endif</p>

    @if ($page->short->isPositive() && ! in_array($order->state, ['closed', 'cancelled']))
    @php($form = $typed('short'))
    <section class="effect"><strong class="behind notched">{{ $open ? 'It will finish' : 'It finished' }} {{ $print->amount($page->short) }} short.</strong> @foreach ($page->remakes as $remake)<span>{{ $print->amount($remake->quantity) }} are made again by <a class="num" href="{{ route('orders.show', $remake->id) }}">{{ $remake->number }}</a>, {{ $remake->state }}, cost so far {{ $print->money((int) $remake->cost) }} €.</span> @endforeach
        @can('change-order') @if ($page->toCure->isPositive())<form class="actions mb-0" method="post" action="{{ route('orders.short', $order->id) }}">@csrf @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}"><x-field bare :in="$form" name="quantity" label="How many" class="n" :value="$print->amount($page->toCure)" inputmode="decimal" /><button class="btn btn-act" name="how" value="remake">Make them again</button><button class="btn btn-quiet" name="how" value="stock">Take them from stock</button><x-field bare :in="$form" name="reason" label="Who accepted it" placeholder="who accepted it" maxlength="200" /><button class="btn btn-quiet" name="how" value="accept">Accept it, ship short</button></form>@endif @if ($open)<span class="sub">Or top up from its first step: change the quantity to {{ $print->amount(\Brick\Math\BigDecimal::of($order->quantity)->plus($page->toCure)) }} below.</span>@endif @endcan</section>
    @endif
    <h2>Steps</h2>
    <table class="list">
        <thead><tr><th>Step</th><th>At</th><th class="n">Minutes</th><th class="n w2">Booked</th><th class="n w2">In</th><th class="n">To do</th><th class="n">Good</th><th class="n">Scrap</th><th class="n">Passed on</th><th>Planned</th>@if ($open)<th></th>@endif</tr></thead>
        <tbody>
        @foreach ($page->steps as $step)
            <tr><td><span class="num">{{ $step->number }}</span> {{ $step->name }} @if ($step->started_at && ! $step->supplier)<span class="tag running">running</span>@endif</td>
                <td>@if ($step->supplier)<span class="outside">{{ $step->supplier }}</span>@else<a href="{{ route('station.show', $step->work_centre_id) }}">{{ $step->work_centre_name }}</a>@endif</td>
                <td class="n" title="{{ $step->planned_minutes === $step->baseline_minutes ? '' : 'the master says '.$step->baseline_minutes }}">@if ($step->supplier){{ $step->lead_time_days }} days @else {{ $print->minutes($step->planned_minutes) }}@if ($step->planned_minutes !== $step->baseline_minutes) <span class="soon">≠</span>@endif @endif</td>
                <td class="n w2">{{ $step->booked_minutes > 0 ? $print->minutes($step->booked_minutes) : '' }}</td>
                <td class="n w2">{{ \Brick\Math\BigDecimal::of($step->taken_in)->isZero() ? '' : $print->amount($step->taken_in) }}</td>
                @foreach ([ \Brick\Math\BigDecimal::of($step->taken_in)->minus($step->good)->minus($step->scrap), $step->good, $step->scrap, $step->passed_on] as $count)<td class="n">{{ \Brick\Math\BigDecimal::of($count)->isZero() ? '' : $print->amount($count) }}</td>@endforeach
                <td class="tight">@if ($step->handfuls !== [])back <x-back :handfuls="$step->handfuls" :unit="$order->unit" />@else{{ $step->start_at ? $print->span($step->start_at, $step->end_at) : '' }}@endif</td>
                @if ($open)<td>@can('change-order') @php($form = $typed("step-{$step->id}"))<details class="more" @if ($form->isMine()) open @endif><summary>change</summary>
                    @if (! $step->supplier)<form class="d-flex gap-2 align-items-end flex-wrap" method="post" action="{{ route('order-steps.update', $step->id) }}">@csrf @method('put') @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
                        <select class="form-select" name="work_centre_id" aria-label="Work centre of step {{ $step->number }}">@foreach ($workCentres as $id => $name)<option value="{{ $id }}" @selected($id === $step->work_centre_id)>{{ $name }}</option>@endforeach</select>
                        <x-field :in="$form" name="setup_minutes" label="Setup, minutes" class="n" :value="$print->amount($step->setup_minutes)" inputmode="decimal" /><x-field :in="$form" name="run_rate" :label="match ($step->run_basis) { 'units_per_hour' => 'Units per hour', 'min_per_batch' => 'Minutes per batch of '.$print->amount($step->batch), default => 'Minutes per unit' }" class="n" :value="$print->amount($step->run_rate)" inputmode="decimal" /><button class="btn btn-quiet btn-small">Change</button></form>@endif
                    @if (\Brick\Math\BigDecimal::of($step->taken_in)->isZero())<form class="mt-1" method="post" action="{{ route('order-steps.destroy', $step->id) }}">@csrf @method('delete') @token<input type="hidden" name="version" value="{{ $order->version }}"><button class="btn btn-quiet btn-small">Take step {{ $step->number }} out</button></form>@endif</details>@endcan</td>@endif</tr>
        @endforeach
        </tbody>
    </table>

    @include('orders.components')
    @if ($open) @can('change-order')
    <div class="changes">
        @php($form = $typed('head'))
        <details class="more" @if ($form->isMine()) open @endif><summary>Change quantity, due date, rank or hold</summary>
            <form class="actions align-items-end" method="post" action="{{ route('orders.update', $order->id) }}">@csrf @method('put') @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
                <x-field :in="$form" name="quantity" label="Quantity" class="n" :value="$print->amount($order->quantity)" inputmode="decimal" /><x-day worked :in="$form" name="due_on" label="Due" :value="$order->due_on" /><x-field :in="$form" name="rank" label="Rank" class="n" :value="(string) $order->rank" inputmode="numeric" />
                <label class="d-inline"><input type="checkbox" name="is_held" value="1" @checked($form->isMine() ? old('is_held') : $order->is_held)> held</label><button class="btn btn-quiet">Change</button>
            </form>
            <form class="actions align-items-end" method="post" action="{{ route('orders.split', $order->id) }}">@csrf @token('split')<input type="hidden" name="version" value="{{ $order->version }}">@php($cut = $typed('split'))<x-field :in="$cut" name="quantity" label="Pieces to split off" class="n" inputmode="decimal" /><x-field :in="$cut" name="reason" label="Why" size="20" maxlength="200" /><button class="btn btn-quiet">Split them off</button></form>
            @if (in_array($order->state, ['firm', 'released']))<form class="actions align-items-end" method="post" action="{{ route('orders.destroy', $order->id) }}">@csrf @method('delete') @token('cancel')<input type="hidden" name="version" value="{{ $order->version }}"><x-field :in="$typed('cancel')" bare name="reason" label="Why it is cancelled" placeholder="why it is cancelled" size="30" maxlength="200" /><button class="btn btn-quiet btn-small">Cancel this order</button></form>@endif
        </details>
        @php($form = $typed('new-component'))
        <details class="more" @if ($form->isMine()) open @endif><summary>Add a component</summary>
            <form class="actions align-items-end" method="post" action="{{ route('order-components.store', $order->id) }}">@csrf @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
                <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="toggle from:closest details once"></datalist>
                <x-field :in="$form" name="item" label="Item" list="items" /><x-field :in="$form" name="quantity" label="Quantity" class="n" inputmode="decimal" /><x-field :in="$form" name="unit" label="Unit" size="4" placeholder="stock" />
                <div><label for="c-s">Step</label><select class="form-select" id="c-s" name="step_number">@foreach ($page->steps as $step)<option @selected($form->value('step_number') === (string) $step->number)>{{ $step->number }}</option>@endforeach</select></div><button class="btn btn-quiet">Add the component</button>
            </form>
        </details>
        @php($form = $typed('new-step'))
        <details class="more" @if ($form->isMine()) open @endif><summary>Add a step</summary>
            <form class="actions align-items-end" method="post" action="{{ route('order-steps.store', $order->id) }}">@csrf @token($form->form)<input type="hidden" name="version" value="{{ $order->version }}">
                <x-field :in="$form" name="number" label="Number" class="n" :value="(string) (($page->steps->max('number') ?? 0) + 10)" inputmode="numeric" /><x-field :in="$form" name="name" label="What is done" maxlength="60" />
                <div><label for="n-w">At</label><select class="form-select" id="n-w" name="work_centre_id">@foreach ($workCentres as $id => $name)<option value="{{ $id }}" @selected($form->value('work_centre_id') === (string) $id)>{{ $name }}</option>@endforeach</select></div>
                <x-field :in="$form" name="setup_minutes" label="Setup, minutes" class="n" value="0" inputmode="decimal" /><x-field :in="$form" name="run_rate" label="Minutes per unit" class="n" inputmode="decimal" /><button class="btn btn-quiet">Add the step</button>
            </form>
        </details>
    </div>
    @endcan @endif
    <div class="halves">
        <section><h2>Cost, planned against actual</h2>
            <table class="list"><thead><tr><th></th><th class="n">Planned €</th><th class="n">Actual €</th><th class="n">Difference €</th></tr></thead><tbody>
            @foreach (['material', 'labour', 'machine', 'overhead', 'outside'] as $kind)
                @php($row = $page->cost[$kind]) @php($total['planned'] += $row['planned']) @php($total['actual'] += $row['actual'])
                <tr><td>{{ $kind === 'outside' ? 'outside work' : $kind }}</td><td class="n">{{ $print->money($row['planned']) }}</td><td class="n">{{ $print->money($row['actual']) }}</td><td @class(['n', 'behind' => $row['actual'] > $row['planned'] && $row['planned'] > 0])>{{ $print->money($row['actual'] - $row['planned']) }}</td></tr>
            @endforeach
            <tr><td><strong>put in</strong></td><td class="n"><strong>{{ $print->money($total['planned']) }}</strong></td><td class="n"><strong>{{ $print->money($total['actual']) }}</strong></td><td class="n">{{ $print->money($total['actual'] - $total['planned']) }}</td></tr>
            <tr><td>received into stock</td><td></td><td class="n">{{ $print->money(-$page->cost['receipt']['actual']) }}</td><td></td></tr>
            <tr><td>variance, at closing</td><td></td><td class="n">{{ $print->money(-$page->cost['variance']['actual']) }}</td><td></td></tr>
            <tr><td>still in the order</td><td></td><td class="n">{{ $print->money($total['actual'] + $page->cost['receipt']['actual'] + $page->cost['variance']['actual']) }}</td><td></td></tr>
            </tbody></table>
        </section>
        <section><h2>Changed on this order</h2>
            @if ($page->changes->isEmpty())<div class="none">As the master has it.</div>@else
            <table class="list"><thead><tr><th>What</th><th>From</th><th>To</th><th>Who, when</th></tr></thead><tbody>@foreach ($page->changes as $change)<tr><td>{{ $change->what }}</td><td>{{ $change->before ?: '–' }}</td><td>{{ $change->after }}</td><td class="sub">{{ $change->person }}, {{ $print->when($change->entered_at) }}</td></tr>@endforeach</tbody></table>@endif
        </section>
    </div>
    <h2>Booked on this order</h2>
    <x-bookings :rows="$page->bookings" />
</x-layout>
