{{-- What is proposed of an item that is low, made or bought by one touch. --}}
@if (! $item->isProposed())
@elseif ($item->isMadeHere())
    @can('change-order')
        <x-form class="d-inline-flex gap-1" :to="route('orders.store')" :key="'make-'.$item->id">
            <input type="hidden" name="item" value="{{ $item->number }}">
            <input type="hidden" name="with_parts" value="1">
            <x-field bare name="quantity" :label="'How many '.$item->name.' to make'" class="n"
                :value="$print->amount($item->proposal())" inputmode="decimal" />
            <button class="btn btn-quiet btn-small">Make</button>
        </x-form>
    @else
        make {{ $print->amount($item->proposal()) }}
    @endcan
@elseif (! $item->hasSupplier)
    {{ $print->amount($item->proposal()) }}, <a href="{{ route('items.show', $item->id) }}">nobody sells it</a>
@else
    @can('purchase')
        <x-form class="d-inline-flex gap-1" :to="route('purchases.store')" :key="'buy-'.$item->id">
            <input class="form-control n" name="items[{{ $item->id }}][quantity]"
                value="{{ old('items.'.$item->id.'.quantity', $print->amount($item->proposal())) }}" inputmode="decimal"
                aria-label="How much of {{ $item->name }} to buy">
            <button class="btn btn-quiet btn-small">Buy</button>
            <x-why :field="'items.'.$item->id" />
        </x-form>
    @else
        buy {{ $print->amount($item->proposal()) }}
    @endcan
@endif
