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
                        <td class="tight">{{ $print->kind($move->kind) }} @if ($move->order_id)<a class="num" href="{{ route('orders.show', $move->order_id) }}">{{ $move->order_number }}</a>@elseif ($move->customer_order_id)<a class="num" href="{{ route('customer-orders.show', $move->customer_order_id) }}">{{ $move->customer_order_number }}</a>@elseif ($move->purchase_number){{ $move->purchase_number }}@endif</td>
                        <td>{{ $move->from_name }}</td><td>{{ $move->to_name }}</td><td>{{ $move->lot }}</td><td class="n">{{ $move->signed > 0 ? '+' : '' }}{{ $print->amount($move->signed) }}</td><td class="n">{{ $print->amount($move->running) }}</td><td class="n">{{ $print->money($move->value) }}</td></tr>
                @endforeach
                </tbody>
            </table>
            @if ($moves->count() === \App\Queries\Stock\StockList::PAGE)<p class="mt-2"><a href="{{ route('stock.show', ['item' => $item->id, 'before' => $moves->last()->id]) }}">Older movements</a></p>@endif @endif
        </section>
        <section>
            <h2 class="mt-0">On hand</h2>
            <x-stock-of-item :lots="$lots" :unit="$item->unit->code" />
            <h2>Coming</h2>
            @if ($purchases->isEmpty())<div class="none">No purchase is open.</div>@else
            <table class="list"><tbody>@foreach ($purchases as $purchase)<tr><td class="num tight">{{ $purchase->number }}</td><td class="cut">{{ $purchase->supplier->name }}</td><td class="n">{{ $print->amount((string) $purchase->openQuantity()) }}</td><td class="tight">{{ $print->day($purchase->expected_on) }}</td></tr>@endforeach</tbody></table>@endif
            @if ($lots->rows->isNotEmpty())
                @canany(['goods-in', 'issue'])
                    <h2>Count, block, scrap</h2>
                    @foreach ($lots->rows as $row)
                        <x-lot-forms :row="$row" :item="$item" />
                    @endforeach
                @endcanany
            @endif
            @if ($item->costing === 'standard')
                @can('value')
                    <h2>Standard cost</h2>
                    <x-form key="standard" class="actions align-items-start" :to="route('stock.standard', $item->id)">
                        <x-field bare name="cost" label="Standard cost" class="n" :value="$print->amount($item->cost)"
                            inputmode="decimal" />
                        <x-field bare name="reason" label="Why it changes" placeholder="why it changes" maxlength="200" />
                        <button class="btn btn-quiet btn-small">Set it, revalue stock</button>
                    </x-form>
                @endcan
            @endif
            <x-changes :rows="$changes" />
        </section>
    </div>
</x-layout>
