@props(['form'])
{{-- Goods that come in: on a purchase, without one, a customer's own. --}}
<x-more class="mt-3" id="in" summary="Book goods in" :open="$errors->any() || $form->receive">
    <x-form class="actions align-items-end" :to="route('stock.store')">
        <datalist id="items" hx-get="{{ route('items.choose') }}?q="
            hx-trigger="toggle from:closest details once"></datalist>
        <x-choice name="purchase_id" label="On purchase" :options="$form->purchases" :value="$form->receive?->id" />
        @if ($form->more !== '')
            <span class="sub">{{ $form->more }}</span>
        @endif
        <x-field name="item" label="Item" list="items" :value="$form->receive?->item->number" required />
        <x-field name="quantity" label="Quantity" class="n" :value="$form->quantity()" required inputmode="decimal" />
        <x-field name="unit" label="Unit" size="4" placeholder="stock" />
        <x-field name="price" label="€ per stock unit" class="n" :value="$form->price()" required
            inputmode="decimal" />
        <x-choice name="place_id" label="To" :options="$form->places" />
        <div>
            <label for="g-l">Lot, or serials one a line</label>
            <textarea class="form-control" id="g-l" name="codes" rows="1">{{ old('codes') }}</textarea>
            <x-why field="codes" />
        </div>
        <x-field name="supplier_lot" label="Supplier's lot" size="9" maxlength="60" />
        <x-day name="expires_on" label="Good until" />
        <x-choice name="condition" label="As" :options="$print->comesAs()" />
        <x-choice name="owner_id" label="Whose" :options="$form->owners" />
        <x-day name="booked_on" label="Came in on"
            title="empty = today; an earlier day for a receipt that was missed" />
        <button class="btn btn-act">Book in</button>
    </x-form>
</x-more>
