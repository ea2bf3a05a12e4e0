<x-form class="d-inline-flex gap-1" :to="route('orders.store')">
    <input type="hidden" name="item" value="{{ $item->number }}">
    <input type="hidden" name="with_parts" value="1">
    <input class="form-control n" name="quantity" value="{{ $print->amount($item->proposal()) }}" inputmode="decimal"
        aria-label="How many {{ $item->name }} to make">
    <button class="btn btn-quiet btn-small">Make it</button>
</x-form>
