{{-- Something is bought by words for one order. --}}
<x-form class="actions align-items-end" key="buy" :to="route('orders.buy', $order->id)">
    <x-field name="words" label="What" size="34" maxlength="200" required />
    <x-choice name="supplier" label="Of" :options="$buy->suppliers" />
    <x-field name="quantity" label="Quantity" class="n" inputmode="decimal" required />
    <x-choice name="unit_id" label="Unit" :options="$buy->units" />
    <x-field name="price" label="€ for one" class="n" inputmode="decimal" required />
    <x-day worked name="expected_on" label="Comes" required />
    <button class="btn btn-act">Put it on a draft</button>
</x-form>
<p class="sub">It comes into no stock: when it is booked in, it goes into the cost of this order.</p>
