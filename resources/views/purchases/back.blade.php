{{-- Goods of a line go back to the supplier. --}}
<x-more summary="send back" :open="$typed('back-'.$line->id)->isMine()">
    <x-form class="actions align-items-end" :key="'back-'.$line->id"
        :to="route('purchase-returns.store', $line->id)">
        <x-field name="quantity" :label="'How much, '.$line->unit" class="n" inputmode="decimal" />
        <x-choice name="balance" label="From" :options="$page->lying[$line->itemId]" />
        <x-field name="reason" label="Why" size="18" maxlength="200" />
        <label class="d-inline"><input type="checkbox" name="is_replaced" value="1"> they send others</label>
        <button class="btn btn-quiet btn-small">Send back</button>
    </x-form>
</x-more>
