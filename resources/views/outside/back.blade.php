{{-- What came back of one step, counted. --}}
<x-form class="actions align-items-end" :key="$row->form('back')" :to="route('outside.store', $row->stepId)">
    <x-field name="good" :label="'Good, of '.$print->amount($row->there)" class="n few" size="6" inputmode="decimal" />
    @if ($row->next)
        <x-field name="pass_on" label="Pass on" class="n few" size="6" inputmode="decimal" />
    @endif
    <x-field name="spoiled" label="Spoiled there" class="n few" size="6" inputmode="decimal" />
    <x-field name="lost" label="Lost" class="n few" size="6" inputmode="decimal" />
    <x-field name="reason" label="Why spoiled or lost" list="reasons-scrap" size="16" maxlength="200" />
    <x-choice name="whose" label="Whose fault" :options="$print->whose()" />
    <x-field name="unworked" label="To be done again" class="n few" size="6" inputmode="decimal" />
    @foreach ($along as $one)
        <x-field :name="'used['.$one->id.']'" :field="'used.'.$one->id" class="n few" size="6"
            :label="$one->itemNumber.' used, of '.$print->amount($one->there).' '.$one->unit"
            inputmode="decimal" placeholder="by the pieces" />
    @endforeach
    @if ($row->canGoOn())
        <x-choice name="onward" label="The good ones" :options="$row->onward()" />
    @endif
    <button class="btn btn-act btn-small">Book it back</button>
</x-form>
