<x-layout title="Stock">
    <div class="head"><h1>Stock</h1><form class="d-flex gap-2 align-items-center"><input class="form-control" name="text" value="{{ $text }}" placeholder="item, name or lot" aria-label="Item, name or lot"><label class="d-inline"><input type="checkbox" name="below" value="1" @checked($below) data-send> below reorder point</label></form>
        @if ($low === null)<span class="say">{{ $rows->rows->pluck('itemId')->unique()->count() }} items, {{ $print->money((int) $rows->rows->sum('value')) }} €{{ $rows->says() === '' ? '' : ', '.$rows->says() }}</span>@endif</div>
    @if ($low !== null)
    @include('stock.low')
    @elseif ($rows->rows->isEmpty())<div class="none">Nothing like this is in stock.</div>@else
    <x-stock-list :rows="$rows->rows" />
    <x-cut :of="$rows" />@endif
    @can('goods-in')
    <details class="more mt-3" id="in" @if ($errors->any() || $receive) open @endif><summary>Book goods in</summary>
        <form class="actions align-items-end" method="post" action="{{ route('stock.store') }}">@csrf @token
            <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="toggle from:closest details once"></datalist>
            <div><label for="g-p">On purchase</label><select class="form-select" id="g-p" name="purchase_id"><option value="">none</option>@foreach ($purchases as $purchase)<option value="{{ $purchase->id }}" @selected(old('purchase_id', $receive?->id) == $purchase->id)>{{ $purchase->number }} {{ $purchase->item->number }}, {{ $print->amount((string) $purchase->openQuantity()) }} {{ $purchase->item->unit->code }}, {{ $print->day($purchase->expected_on) }}</option>@endforeach @if ($toCome > $purchases->count())<option disabled>first {{ $purchases->count() }} of {{ $toCome }}: the others are booked in from Purchases</option>@endif</select></div>
            <div><label for="g-i">Item</label><input class="form-control" id="g-i" name="item" list="items" value="{{ old('item', $receive?->item->number) }}" required><x-why field="item" /></div>
            <div><label for="g-q">Quantity</label><input class="form-control n" id="g-q" name="quantity" value="{{ old('quantity', $receive === null ? '' : $print->amount((string) $receive->openQuantity())) }}" required inputmode="decimal"><x-why field="quantity" /></div>
            <div><label for="g-u">Unit</label><input class="form-control" id="g-u" name="unit" size="4" value="{{ old('unit') }}" placeholder="stock"><x-why field="unit" /></div>
            <div><label for="g-c">€ per stock unit</label><input class="form-control n" id="g-c" name="price" value="{{ old('price', $receive === null ? '' : $print->amount($receive->price)) }}" required inputmode="decimal"><x-why field="price" /></div>
            <div><label for="g-t">To</label><select class="form-select" id="g-t" name="place_id">@foreach ($places as $id => $name)<option value="{{ $id }}" @selected(old('place_id') == $id)>{{ $name }}</option>@endforeach</select></div>
            <div><label for="g-l">Lot, or serials one a line</label><textarea class="form-control" id="g-l" name="codes" rows="1">{{ old('codes') }}</textarea><x-why field="codes" /></div>
            <x-field name="supplier_lot" label="Supplier's lot" size="9" maxlength="60" /><x-day name="expires_on" label="Good until" />
            <x-choice name="condition" label="As" :options="$print->conditions()" />
            <div><label for="g-o">Whose</label><select class="form-select" id="g-o" name="owner_id"><option value="">ours</option>@foreach ($customers as $id => $name)<option value="{{ $id }}" @selected(old('owner_id') == $id)>{{ $name }}'s own</option>@endforeach</select></div>
            <x-day name="booked_on" label="Came in on" title="empty = today; an earlier day for a receipt that was missed" />
            <button class="btn btn-act">Book in</button>
        </form>
    </details>
    @endcan
</x-layout>
