<x-more summary="change" :open="$in->isMine()">
    @if (! $step->isOutside())
        <x-form class="d-flex gap-2 align-items-end flex-wrap" method="put" :key="$in->form"
            :to="route('order-steps.update', $step->id)">
            <input type="hidden" name="version" value="{{ $version }}">
            <x-choice bare name="work_centre_id" :label="'Work centre of step '.$step->number" :options="$centres"
                :value="$step->workCentreId" />
            <x-field name="setup_minutes" label="Setup, minutes" class="n"
                :value="$print->amount($step->setupMinutes)" inputmode="decimal" />
            <x-field name="run_rate" :label="$step->rateLabel()" class="n" :value="$print->amount($step->runRate)"
                inputmode="decimal" />
            <button class="btn btn-quiet btn-small">Change</button>
        </x-form>
    @endif
    @if ($step->isUntouched())
        <x-form class="mt-1" method="delete" :to="route('order-steps.destroy', $step->id)">
            <input type="hidden" name="version" value="{{ $version }}">
            <button class="btn btn-quiet btn-small">Take step {{ $step->number }} out</button>
        </x-form>
    @endif
</x-more>
