{{-- It is bought of another, or not at all. --}}
<x-more summary="Buy it of another, or cancel it" :open="$typed('other')->isMine() || $typed('cancel')->isMine()">
    <x-form class="actions align-items-end" method="put" key="other"
        :to="route('purchase-orders.supplier', $page->order->id)">
        <input type="hidden" name="version" value="{{ $page->order->version }}">
        <x-choice name="supplier" label="What is open, of" :options="$page->others" />
        <x-field name="reason" list="reasons-change" label="Why" size="24" maxlength="200" />
        <button class="btn btn-quiet">Put it on a draft there</button>
    </x-form>
    <x-form class="actions align-items-end" method="delete" key="cancel"
        :to="route('purchase-orders.destroy', $page->order->id)">
        <input type="hidden" name="version" value="{{ $page->order->version }}">
        <x-field bare name="reason" list="reasons-change" label="Why it is cancelled" placeholder="why it is cancelled"
            size="30" maxlength="200" />
        <button class="btn btn-quiet btn-small">Cancel this purchase</button>
    </x-form>
</x-more>
