<x-layout :title="$item->number">
    <div class="head">
        <h1>{{ $item->number }} · {{ $item->name }}</h1>
        <span class="say">
            {{ $item->inWords() }} · <x-amount :of="$position->free" /> free + <x-amount :of="$position->coming" />
            coming − <x-amount :of="$position->promised" /> promised =
            <strong @class(['behind' => $position->isLow()])><x-amount :of="$position->position()" /></strong>,
            reorder at {{ $print->amount($item->reorder_point) }}
        </span>
        <a class="ms-auto" href="{{ route('flow.show', $item->id) }}">Coming and going</a>
    </div>
    <div class="two item">
        <section>
            <h2 class="mt-0">Movements</h2>
            @if ($moves->isEmpty())
                <div class="none">It has never moved.</div>
            @else
                @include('stock.movements')
            @endif
        </section>
        <section>
            <h2 class="mt-0">On hand</h2>
            <x-stock-of-item :lots="$lots" :unit="$item->unit->code" :files="$files" />
            <h2>Coming</h2>
            @if ($purchases->isEmpty())
                <div class="none">No purchase is open.</div>
            @else
                <table class="list">
                    <tbody>
                        @foreach ($purchases as $purchase)
                            <tr>
                                <td class="num tight">{{ $purchase->number }}</td>
                                <td class="cut">{{ $purchase->order->supplier->name }}</td>
                                <td class="n">{{ $print->amount($purchase->openQuantity()) }}</td>
                                <td class="tight">{{ $print->day($purchase->expected_on) }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
            @if ($lots->rows->isNotEmpty())
                @canany(['goods-in', 'issue'])
                    <h2>Count, block, scrap</h2>
                    @foreach ($lots->rows as $row)
                        <x-lot-forms :row="$row" :item="$item" />
                    @endforeach
                @endcanany
            @endif
            @if ($item->isAtStandardCost())
                @can('value')
                    <h2>Standard cost</h2>
                    <x-form key="standard" class="actions align-items-start" :to="route('stock.standard', $item->id)">
                        <x-field bare name="cost" label="Standard cost" class="n" :value="$print->amount($item->cost)"
                            inputmode="decimal" />
                        <x-field bare name="reason" label="Why it changes" placeholder="why it changes"
                            maxlength="200" />
                        <button class="btn btn-quiet btn-small">Set it, revalue stock</button>
                    </x-form>
                @endcan
            @endif
            <x-changes :rows="$changes" />
        </section>
    </div>
    <x-reasons for="scrap" />
</x-layout>
