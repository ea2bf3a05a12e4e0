<x-layout :title="$item->number">
    <div class="head"><h1>{{ $item->number }} · {{ $item->name }}</h1><span class="say">{{ $item->kind->value }}, counted in {{ $item->unit->name }}{{ $item->units->map(fn ($other) => ', 1 '.$other->unit->code.' = '.($other->q === 1 ? $other->p : $other->p.'/'.$other->q).' '.$item->unit->code)->join('') }}{{ $item->isTracked() ? ', by '.$item->tracking->value : '' }}, valued by {{ \KeepPace\Core\Costing\CostingRule::from($item->costing)->label() }} · <x-amount :of="$position->free" /> free + <x-amount :of="$position->coming" /> coming − <x-amount :of="$position->promised" /> promised = <strong @class(['behind' => $position->isLow()])><x-amount :of="$position->position()" /></strong>, reorder at {{ $print->amount($item->reorder_point) }}</span></div>
    <div class="two item">
        <section>
            <h2 class="mt-0">Movements</h2>
            @if ($moves->isEmpty())<div class="none">It has never moved.</div>@else
            <table class="list">
                <thead><tr><th>When</th><th>What</th><th>From</th><th>To</th><th>Lot</th><th class="n">In, out</th><th class="n">Then on hand</th><th class="n">Value €</th></tr></thead>
                <tbody>
                @foreach ($moves as $move)
                    <tr><td class="tight" title="{{ $print->moment($move->entered_at) }}, {{ $move->person }}"><a href="{{ route('bookings.show', $move->booking_id) }}">{{ $print->when($move->entered_at) }}</a></td>
                        <td class="tight">{{ \App\Models\BookingKind::from($move->kind)->label() }} @if ($move->order_id)<a class="num" href="{{ route('orders.show', $move->order_id) }}">{{ $move->order_number }}</a>@elseif ($move->customer_order_id)<a class="num" href="{{ route('customer-orders.show', $move->customer_order_id) }}">{{ $move->customer_order_number }}</a>@elseif ($move->purchase_number){{ $move->purchase_number }}@endif</td>
                        <td>{{ $move->from_name }}</td><td>{{ $move->to_name }}</td><td>{{ $move->lot }}</td><td class="n">{{ $move->signed > 0 ? '+' : '' }}{{ $print->amount($move->signed) }}</td><td class="n">{{ $print->amount($move->running) }}</td><td class="n">{{ $print->money($move->value) }}</td></tr>
                @endforeach
                </tbody>
            </table>
            @if ($moves->count() === \App\Queries\Stock\StockList::PAGE)<p class="mt-2"><a href="{{ route('stock.show', ['item' => $item->id, 'before' => $moves->last()->id]) }}">Older movements</a></p>@endif @endif
        </section>
        <section>
            <h2 class="mt-0">On hand</h2>
            @if ($lots->says() !== '')
                <form class="actions">
                    <input class="form-control" name="lot" value="{{ request('lot') }}" placeholder="lot" aria-label="Lot">
                    <button class="btn btn-quiet btn-small">Show it first</button>
                    <span class="sub">{{ ucfirst($lots->says()) }} lots.</span>
                </form>
            @endif
            @if ($balances->isEmpty())<div class="none">None.</div>@else
            <table class="list"><thead><tr><th>Place</th><th>Lot</th><th class="n">{{ $item->unit->code }}</th><th class="n">€</th></tr></thead><tbody>@foreach ($balances as $row)<tr @if (request('lot') === $row->lot && $row->lot) style="background:var(--act-2)" @endif><td>{{ $row->place }} @if ($row->condition !== 'free')<span class="tag soon">{{ \KeepPace\Core\Stock\Condition::from($row->condition)->label() }}</span>@endif @if ($row->owner)<span class="tag outside">{{ $row->owner }}'s own</span>@endif</td><td class="tight">{{ $row->lot }} @if ($row->expires_on)<span @class(['sub', 'behind' => $row->is_expired])>until {{ $print->day($row->expires_on) }}</span>@endif</td><td class="n">{{ $print->amount($row->quantity) }}</td><td class="n">{{ $print->money($row->value) }}</td></tr>@endforeach</tbody></table>@endif
            <h2>Coming</h2>
            @if ($purchases->isEmpty())<div class="none">No purchase is open.</div>@else
            <table class="list"><tbody>@foreach ($purchases as $purchase)<tr><td class="num tight">{{ $purchase->number }}</td><td class="cut">{{ $purchase->supplier->name }}</td><td class="n">{{ $print->amount((string) $purchase->openQuantity()) }}</td><td class="tight">{{ $print->day($purchase->expected_on) }}</td></tr>@endforeach</tbody></table>@endif
            @if ($balances->isNotEmpty() && (auth()->user()->can('goods-in') || auth()->user()->can('issue')))
            <h2>Count, block, scrap</h2>
            @foreach ($balances as $row) @php($form = new \App\Http\Typed("count-{$row->id}")) @php($cond = new \App\Http\Typed("condition-{$row->id}")) @php($scrap = new \App\Http\Typed("scrap-{$row->id}")) @php($date = new \App\Http\Typed("lot-{$row->lot_id}"))<details class="more" @if ($form->isMine() || $cond->isMine() || $scrap->isMine() || $date->isMine()) open @endif><summary>{{ $row->place }} {{ $row->lot }} @if ($row->condition !== 'free'){{ \KeepPace\Core\Stock\Condition::from($row->condition)->label() }}@endif</summary>
                @can('goods-in')<form class="actions align-items-start" method="post" action="{{ route('stock.count', $row->id) }}">@csrf @token($form->form)<x-field bare :in="$form" name="quantity" :label="trim('Counted at '.$row->place.' '.$row->lot)" class="n" placeholder="counted" inputmode="decimal" /><x-field bare :in="$form" name="reason" label="Why it differs" placeholder="why it differs" maxlength="200" /><button class="btn btn-quiet btn-small">Book the count</button></form>@endcan
                @can('issue')<form class="actions align-items-start" method="post" action="{{ route('stock.condition', $row->id) }}">@csrf @token($cond->form)<x-field bare :in="$cond" name="quantity" :label="trim('How much at '.$row->place.' '.$row->lot)" class="n" :value="$print->amount($row->quantity)" inputmode="decimal" /><select class="form-select" name="to" aria-label="Condition">@foreach (\KeepPace\Core\Stock\Condition::cases() as $case)@if ($case->value !== $row->condition)<option value="{{ $case->value }}" @selected($cond->value('to') === $case->value)>{{ $case->label() }}</option>@endif @endforeach</select><x-field bare :in="$cond" name="reason" label="Why" placeholder="why" size="12" maxlength="200" /><button class="btn btn-quiet btn-small">Set the condition</button></form>
                <form class="actions align-items-start" method="post" action="{{ route('stock.scrap', $row->id) }}">@csrf @token($scrap->form)<x-field bare :in="$scrap" name="quantity" :label="trim('Scrap at '.$row->place.' '.$row->lot)" class="n" placeholder="scrap" inputmode="decimal" /><select class="form-select" name="class" aria-label="Class of scrap">@foreach (\KeepPace\Core\Stock\ScrapClass::cases() as $case)<option value="{{ $case->value }}" @selected($scrap->value('class') === $case->value)>{{ $case->label() }}</option>@endforeach</select><x-field bare :in="$scrap" name="reason" label="Why it is scrap" placeholder="why" size="12" maxlength="200" /><button class="btn btn-quiet btn-small">Scrap it</button></form>
                @if ($row->lot_id && $item->tracking->value === 'lot')<form class="actions align-items-start" method="post" action="{{ route('stock.expiry', $row->lot_id) }}">@csrf @token($date->form)<x-day bare :in="$date" name="expires_on" label="Good until" :value="$row->expires_on ?? ''" /><x-field bare :in="$date" name="reason" label="What the date rests on" placeholder="re-test, certificate" size="14" maxlength="200" /><button class="btn btn-quiet btn-small">Date the lot</button></form>@endif @endcan</details>@endforeach
            @endif
            @if ($item->costing === 'standard') @can('value')<h2>Standard cost</h2>@php($form = new \App\Http\Typed('standard'))<form class="actions align-items-start" method="post" action="{{ route('stock.standard', $item->id) }}">@csrf @token($form->form)<x-field bare :in="$form" name="cost" label="Standard cost" class="n" :value="$print->amount($item->cost)" inputmode="decimal" /><x-field bare :in="$form" name="reason" label="Why it changes" placeholder="why it changes" maxlength="200" /><button class="btn btn-quiet btn-small">Set it, revalue stock</button></form>@endcan @endif
            <x-changes :rows="$changes" />
        </section>
    </div>
</x-layout>
