{{-- What can be changed of a step: where, how long, or that it is done at all. --}}
<details class="more" @if ($typed($step->form())->isMine()) open @endif>
    <summary>change</summary>
    @if (! $step->isOutside())
        <form class="d-flex gap-2 align-items-end flex-wrap" method="post"
            action="{{ route('order-steps.update', $step->id) }}">
            @csrf
            @method('put')
            @token($step->form())
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-choice bare :in="$typed($step->form())" name="work_centre_id"
                :label="'Work centre of step '.$step->number" :options="$workCentres" :value="$step->workCentreId" />
            <x-field :in="$typed($step->form())" name="setup_minutes" label="Setup, minutes" class="n"
                :value="$print->amount($step->setupMinutes)" inputmode="decimal" />
            <x-field :in="$typed($step->form())" name="run_rate" :label="$step->rateLabel()" class="n"
                :value="$print->amount($step->runRate)" inputmode="decimal" />
            @can('see-money')
                @foreach ($step->overheads() as $field => [$label, $stands])
                    <x-field :in="$typed($step->form())" :name="$field" :label="$label" class="n"
                        :value="$print->amount($stands)" inputmode="decimal" />
                @endforeach
            @endcan
            <x-field :in="$typed($step->form())" name="reason" list="reasons-change" label="Why" size="20"
                maxlength="200" />
            <button class="btn btn-quiet btn-small">Change</button>
        </form>
    @endif
    @if ($page->others->for($step) !== [])
        @can('purchase')
            <x-form method="put" class="d-flex gap-2 align-items-end flex-wrap" :key="$step->form()"
                :to="route('step-suppliers.update', $step->id)">
                <input type="hidden" name="version" value="{{ $order->version }}">
                <x-choice bare name="supplier" :label="'Supplier of step '.$step->number"
                    :options="$page->others->for($step)" value="" />
                <button class="btn btn-quiet btn-small">Have it done there</button>
            </x-form>
        @endcan
    @endif
    @if ($step->isOutside())
        <x-form method="put" class="d-flex gap-2 align-items-end flex-wrap" :key="$step->hereForm()"
            :to="route('step-places.update', $step->id)">
            <input type="hidden" name="version" value="{{ $order->version }}">
            <x-choice bare name="work_centre_id" :label="'Work centre for step '.$step->number" :options="$here"
                value="" />
            <x-field name="setup_minutes" label="Setup, minutes" class="n" :value="$print->amount($step->setupMinutes)"
                inputmode="decimal" />
            <x-field name="run_rate" :label="$step->rateLabel()" class="n" :value="$print->some($step->runRate)"
                inputmode="decimal" />
            <button class="btn btn-quiet btn-small">Do it here</button>
        </x-form>
    @endif
    @if ($step->isUntouched())
        <form class="mt-1" method="post" action="{{ route('order-steps.destroy', $step->id) }}">
            @csrf
            @method('delete')
            @token
            <input type="hidden" name="version" value="{{ $order->version }}">
            <button class="btn btn-quiet btn-small">Take step {{ $step->number }} out</button>
        </form>
    @endif
</details>
