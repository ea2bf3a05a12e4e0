@props(['move'])
{{-- Another lot was really used than was booked. --}}
<x-more summary="wrong lot" :open="old('form') === $move->form()">
    <x-form class="actions" :key="$move->form()" :to="route('bookings.lot', $move->id)">
        <x-field bare name="code" :label="'Lot really used of '.$move->item->name" placeholder="really used" size="9"
            maxlength="60" />
        <x-field bare name="quantity" label="How much" class="n" :value="$print->amount($move->quantity)"
            inputmode="decimal" />
        <x-field bare name="reason" label="How it was found out" placeholder="how it was found out" size="14"
            maxlength="200" />
        <button class="btn btn-quiet btn-small">Correct the lot</button>
    </x-form>
</x-more>
