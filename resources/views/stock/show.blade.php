<x-layout :title="$item->number">
    <div class="head"><h1>{{ $item->number }} · {{ $item->name }}</h1><span class="say">{{ $item->kind }}, counted in {{ $item->unit->name }}{{ $item->units->map(fn ($other) => ', 1 '.$other->unit->code.' = '.($other->q === 1 ? $other->p : $other->p.'/'.$other->q).' '.$item->unit->code)->join('') }}{{ $item->isTracked() ? ', by '.$item->tracking : '' }} · reorder below {{ \App\Wording\Figures::amount($item->reorder_point) }}</span></div>
    <div class="two">
        <section>
            <h2 class="mt-0">Movements</h2>
            @if ($moves->isEmpty())<div class="none">It has never moved.</div>@else
            <table class="list">
                <thead><tr><th>When</th><th>What</th><th>From</th><th>To</th><th>Lot</th><th class="n">In, out</th><th class="n">Then on hand</th><th class="n">Value €</th></tr></thead>
                <tbody>
                @foreach ($moves as $move)
                    <tr><td class="tight" title="{{ \App\Wording\When::full($move->entered_at) }}, {{ $move->person }}"><a href="{{ route('bookings.show', $move->booking_id) }}">{{ \App\Wording\When::say($move->entered_at) }}</a></td>
                        <td class="tight">{{ \App\Models\BookingKind::from($move->kind)->label() }} @if ($move->order_id)<a class="num" href="{{ route('orders.show', $move->order_id) }}">{{ $move->order_number }}</a>@elseif ($move->customer_order_id)<a class="num" href="{{ route('customer-orders.show', $move->customer_order_id) }}">{{ $move->customer_order_number }}</a>@elseif ($move->purchase_number){{ $move->purchase_number }}@endif</td>
                        <td>{{ $move->from_name }}</td><td>{{ $move->to_name }}</td><td>{{ $move->lot }}</td><td class="n">{{ $move->signed > 0 ? '+' : '' }}{{ \App\Wording\Figures::amount($move->signed) }}</td><td class="n">{{ \App\Wording\Figures::amount($move->running) }}</td><td class="n">{{ \App\Wording\Figures::money($move->value) }}</td></tr>
                @endforeach
                </tbody>
            </table>
            @if ($moves->count() === \App\Queries\Stock\StockList::PAGE)<p class="mt-2"><a href="{{ route('stock.show', ['item' => $item->id, 'before' => $moves->last()->id]) }}">Older movements</a></p>@endif @endif
        </section>
        <section>
            <h2 class="mt-0">On hand</h2>
            @if ($balances->isEmpty())<div class="none">None.</div>@else
            <table class="list"><thead><tr><th>Place</th><th>Lot</th><th class="n">{{ $item->unit->code }}</th><th class="n">€</th></tr></thead><tbody>@foreach ($balances as $row)<tr @if (request('lot') === $row->lot && $row->lot) style="background:var(--act-2)" @endif><td>{{ $row->place }}</td><td class="tight">{{ $row->lot }}</td><td class="n">{{ \App\Wording\Figures::amount($row->quantity) }}</td><td class="n">{{ \App\Wording\Figures::money($row->value) }}</td></tr>@endforeach</tbody></table>@endif
            <h2>Coming</h2>
            @if ($purchases->isEmpty())<div class="none">No purchase is open.</div>@else
            <table class="list"><tbody>@foreach ($purchases as $purchase)<tr><td class="num tight">{{ $purchase->number }}</td><td class="cut">{{ $purchase->supplier->name }}</td><td class="n">{{ \App\Wording\Figures::amount((string) \Brick\Math\BigDecimal::of($purchase->quantity)->minus($purchase->received_quantity)) }}</td><td class="tight">{{ \App\Wording\When::day($purchase->expected_on) }}</td></tr>@endforeach</tbody></table>@endif
            @can('goods-in') @if ($balances->isNotEmpty())
            <h2>Count</h2>
            @foreach ($balances as $row) @php($form = new \App\Http\Typed("count-{$row->id}"))<details class="more" @if ($form->isMine()) open @endif><summary>{{ $row->place }} {{ $row->lot }}</summary><form class="actions align-items-start" method="post" action="{{ route('stock.count', $row->id) }}">@csrf @token($form->form)<x-field bare :in="$form" name="quantity" :label="trim('Counted at '.$row->place.' '.$row->lot)" class="n" placeholder="counted" inputmode="decimal" /><x-field bare :in="$form" name="reason" label="Why it differs" placeholder="why it differs" maxlength="200" /><button class="btn btn-quiet btn-small">Book the count</button></form></details>@endforeach
            @endif @endcan
        </section>
    </div>
</x-layout>
