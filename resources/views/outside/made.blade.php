{{-- What came of what a supplier makes of parts of ours, and what was used of these. --}}
<x-form :key="$part->form('made')" :to="route('made.store', $part->lineId)">
    <div class="actions align-items-end">
        <x-field name="good" :label="'Good, of '.$print->amount($part->open)" class="n few" size="7"
            inputmode="decimal" />
        <x-field name="spoiled" label="Spoiled there" class="n few" size="6" inputmode="decimal" />
        <x-choice name="whose" label="Whose fault" :options="$print->whose()" />
        <x-choice name="place_id" label="To" :options="$places" />
        <x-field name="codes" label="Lot, if it has one" size="12" maxlength="80" />
    </div>
    @foreach ($parts as $one)
        <div class="actions align-items-end">
            <x-field :name="$one->field('used')" :field="$one->key('used')" class="n few" size="8" inputmode="decimal"
                :label="'Used of '.$one->itemNumber.', '.$one->unit.'; empty: '.$print->amount($one->each()).' each'" />
            <x-field :name="$one->field('back')" :field="$one->key('back')" class="n few" size="8" inputmode="decimal"
                label="Comes back" />
        </div>
    @endforeach
    <button class="btn btn-act btn-small">Book it in</button>
</x-form>
