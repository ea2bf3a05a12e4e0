{{-- What can be done with a line that is still to come. --}}
@can('goods-in')
    <a href="{{ route('stock.index', ['receive' => $line->id]) }}#in">Book it in</a>
@endcan
@can('purchase')
    <x-form class="actions" method="put" :key="$line->form('line')" :to="route('purchases.update', $line->id)">
        <x-day worked name="expected_on" label="Expected" :value="$line->expectedOn" />
        <x-day worked name="asked_for" label="Asked for" :value="$line->askedFor ?? ''" />
        <button class="btn btn-quiet btn-small align-self-end">Change</button>
    </x-form>
    <x-form class="actions" :key="$line->form('part')" :to="route('purchase-lines.part', $line->id)">
        <x-field bare name="quantity" label="How much of it sooner" placeholder="part of it" size="8" class="n few"
            inputmode="decimal" />
        <x-day bare worked name="asked_for" label="Day that part is asked for" placeholder="sooner, on" />
        <button class="btn btn-quiet btn-small">Ask for so much</button>
    </x-form>
    <x-form class="actions" method="delete" :key="$line->form('drop')" :to="route('purchases.destroy', $line->id)">
        <x-field bare name="reason" label="Why it is no longer wanted" placeholder="why no longer"
            maxlength="200" />
        <button class="btn btn-quiet btn-small">Give up what is to come</button>
    </x-form>
@endcan
