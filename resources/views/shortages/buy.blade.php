{{-- How much of it is ordered, for when, of whom; sent with the ticks of the list. --}}
<span class="d-inline-flex gap-1 align-items-center">
    <input class="form-control n" form="buy" name="items[{{ $item->id }}][quantity]"
        value="{{ old("items.{$item->id}.quantity", $print->amount($item->proposal())) }}" inputmode="decimal"
        aria-label="How much of {{ $item->name }} to order" @cannot('purchase') disabled @endcannot>
    <x-day bare worked form="buy" :name="'items['.$item->id.'][expected_on]'"
        :field="'items.'.$item->id.'.expected_on'" :label="'When '.$item->name.' is expected'"
        :placeholder="$item->comesSays()" :disabled="! Gate::allows('purchase')" />
    @if ($item->supplier)
        <span class="sub cut">{{ $item->supplier }}, {{ $item->leadSays() }}</span>
    @else
        <select class="form-select" form="buy" name="items[{{ $item->id }}][supplier]"
            aria-label="Supplier of {{ $item->name }}">
            <option value="">of whom?</option>
            @foreach ($suppliers as $id => $name)
                <option value="{{ $id }}">{{ $name }}</option>
            @endforeach
        </select>
    @endif
</span>
