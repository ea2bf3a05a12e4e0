<div class="d-flex gap-3 flex-wrap align-items-end mt-1">
    @if ($job->canStart())
        <x-form :to="route('station.start', $job->id)">
            <button class="btn btn-quiet">Start</button>
        </x-form>
    @endif
    <details class="count" @if ($isOpen) open @endif>
        <summary>Count</summary>
        <x-form class="d-flex gap-2 flex-wrap align-items-end" :key="$job->form()"
            :to="route('station.report', $job->id)">
            <x-field name="good" :label="$job->goodSays()" class="n" :value="$print->amount($job->toDo())"
                inputmode="decimal" />
            <x-field name="scrap" label="Scrap" class="n" value="0" inputmode="decimal" />
            <x-field name="reason" list="reasons-scrap" label="Why scrap" size="9" maxlength="200" />
            @if ($job->next)
                <x-field name="pass_on" :label="'Pass on to '.$job->next" class="n"
                    :value="$print->amount($job->toPassOn())" inputmode="decimal" />
            @endif
            <x-field name="minutes" label="Minutes" class="n" :placeholder="$minutes" inputmode="numeric" />
            <button class="btn btn-act">{{ $button }}</button>
        </x-form>
    </details>
    @if ($job->inHand()->isPositive())
        <span class="sub">{{ $job->inHandSays() }}</span>
    @endif
</div>
