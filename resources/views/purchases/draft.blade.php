{{-- A draft: its lines are typed down, then it is sent. --}}
<x-form method="put" key="lines" :to="route('purchase-orders.update', $page->order->id)">
    <input type="hidden" name="version" value="{{ $page->order->version }}">
    @include('purchases.typed-lines', ['day' => 'Wanted'])
    <div class="actions align-items-end">
        <x-field name="note" label="Said to the supplier" size="60" maxlength="500" :value="$page->order->note" />
        <button class="btn btn-quiet">Keep the draft</button>
        <span class="sub">A quantity of 0 takes a line out.</span>
    </div>
</x-form>
@include('purchases.send')
@include('purchases.end')
