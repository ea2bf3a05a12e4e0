<x-more summary="Order something" :open="$isOpen" class="mt-3">
    <x-form class="actions align-items-end" :key="$key()" :to="route('purchases.store')">
        <datalist id="items" hx-get="{{ route('items.choose') }}?q="
            hx-trigger="toggle from:closest details once"></datalist>
        <div class="in">
            <label for="p-i">Item</label>
            <input class="form-control" id="p-i" name="items[0][number]" list="items" value="{{ $was('number') }}"
                required>
            <x-why field="items.0.number" />
        </div>
        <div class="in">
            <label for="p-q">Quantity</label>
            <input class="form-control n" id="p-q" name="items[0][quantity]" value="{{ $was('quantity') }}"
                inputmode="decimal" required>
            <x-why field="items.0.quantity" />
            <x-why field="items.0" />
        </div>
        <div class="in">
            <label for="p-u">Unit</label>
            <input class="form-control" id="p-u" name="items[0][unit]" value="{{ $was('unit') }}" size="4"
                placeholder="stock">
        </div>
        <div class="in">
            <label for="p-c">€ per stock unit</label>
            <input class="form-control n" id="p-c" name="items[0][price]" value="{{ $was('price') }}"
                inputmode="decimal" placeholder="cost">
            <x-why field="items.0.price" />
        </div>
        <x-day worked name="items[0][expected_on]" field="items.0.expected_on" label="Expected"
            :value="$was('expected_on')" />
        <div class="in">
            <label for="p-s">Supplier</label>
            <select class="form-select" id="p-s" name="items[0][supplier]">
                <option value="">the item's own</option>
                @foreach ($suppliers as $id => $name)
                    <option value="{{ $id }}" @selected($isChosen($id))>{{ $name }}</option>
                @endforeach
            </select>
        </div>
        <label class="d-inline"><input type="checkbox" name="add" value="1"> on an open order</label>
        <button class="btn btn-act">Order it</button>
        <button class="btn btn-quiet" name="draft" value="1">Put it on a draft</button>
    </x-form>
</x-more>
