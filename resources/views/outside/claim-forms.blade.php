{{-- What can be said to a claim. --}}
<div class="d-flex gap-2 flex-wrap">
    @if ($claim->isOpen())
        <x-form class="d-inline-flex gap-1 mb-0" method="put" :key="$claim->form('granted')"
            :to="route('claims.update', $claim->id)">
            <x-field bare name="euros" label="€ credited" placeholder="€" size="7" class="n" inputmode="decimal" />
            <button class="btn btn-act btn-small" name="answer" value="granted">They credit</button>
        </x-form>
        <x-form class="d-inline-flex gap-1 mb-0" method="put" :key="$claim->form('closed')"
            :to="route('claims.update', $claim->id)">
            <x-field bare name="reason" label="Why nothing is credited" placeholder="why nothing" size="12"
                maxlength="200" />
            <button class="btn btn-quiet btn-small" name="answer" value="closed">Close it</button>
        </x-form>
    @endif
    @foreach ($claim->touches() as $answer)
        <x-form class="mb-0" method="put" :key="$claim->form($answer->value)" :to="route('claims.update', $claim->id)">
            <button class="btn btn-quiet btn-small" name="answer" value="{{ $answer->value }}">
                {{ $answer->label() }}
            </button>
        </x-form>
    @endforeach
</div>
