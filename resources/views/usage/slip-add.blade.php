<x-more class="mt-3" summary="Add what is not on it" :open="old('form') === 'add'">
    <x-form class="actions align-items-end" key="add" :to="route('slips.add', $slip->id)">
        <input type="hidden" name="version" value="{{ $slip->version }}">
        <datalist id="items" hx-get="{{ route('items.choose') }}?q="
            hx-trigger="toggle from:closest details once"></datalist>
        <x-choice name="order" label="Order" :options="$page->orders()" />
        <x-field name="item" label="Item" list="items" />
        <x-field name="step_number" label="Step" class="n" :value="$page->firstStep()" inputmode="numeric" />
        <x-field name="quantity" label="Quantity" class="n" inputmode="decimal" />
        <x-field name="unit" label="Unit" size="4" placeholder="stock" />
        <x-field name="reason" list="reasons-change" label="Why" size="22" maxlength="200" />
        <button class="btn btn-quiet">Add it</button>
    </x-form>
</x-more>
