{{-- Parts of ours that go along to the supplier, of which what is bought is made. --}}
@if ($page->parts->isNotEmpty())
    <h2>Goes along</h2>
    <table class="list">
        <thead>
            <tr>
                <th>Line</th>
                <th>Part of ours</th>
                <th class="n">For one</th>
                <th class="n">There now</th>
                <th class="n">Still to go</th>
                <th>Unit</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->parts as $part)
                <tr>
                    <td class="num tight">{{ $part->line }}</td>
                    <td>
                        <a href="{{ route('stock.show', $part->itemId) }}">{{ $part->item }}</a>
                        <span class="sub text-nowrap">{{ $part->itemNumber }}</span>
                    </td>
                    <td class="n">{{ $print->amount($part->each()) }}</td>
                    <td class="n">{{ $print->some($part->there) }}</td>
                    <td class="n">{{ $print->some($part->toGo()) }}</td>
                    <td>{{ $part->unit }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="sub">
        They go out at <a href="{{ route('send-outs.index') }}">Send out</a>; what is made of them is booked in at
        <a href="{{ route('at-suppliers.index') }}">At suppliers</a>.
    </p>
@endif
@can('purchase')
    @if ($page->goods() !== [])
        <x-more summary="It is made of parts of ours" :open="$typed('parts')->isMine()">
            <x-form class="actions align-items-end" key="parts" :to="route('purchase-orders.parts', $page->order->id)">
                <input type="hidden" name="version" value="{{ $page->order->version }}">
                <x-choice name="line" label="For" :options="$page->goods()" />
                <x-field name="item" label="Part of ours, its number" size="16" maxlength="60" list="items" />
                <x-field name="each" label="For one (0: no more)" class="n few" size="7" inputmode="decimal" />
                <button class="btn btn-quiet">Goes along</button>
            </x-form>
            <datalist id="items" hx-get="{{ route('items.choose') }}?q="
                hx-trigger="toggle from:closest details once"></datalist>
        </x-more>
    @endif
@endcan
