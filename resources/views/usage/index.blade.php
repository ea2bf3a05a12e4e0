<x-layout title="Issue" :keys="['p' => 'propose for the ticked orders']">
    <div class="head">
        <h1>Issue components</h1>
        <span class="say">
            {{ $print->count($orders->count(), 'released order takes', 'released orders take') }} more;
            {{ $print->count($open, 'slip is', 'slips are') }} under way.
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('returns.index') }}">Back to stores</a>
        <a href="{{ route('shortages.index') }}">Shortages</a>
    </div>
    <div class="two slip-list">
        <x-form :to="route('slips.store')">
            <div class="actions align-items-end">
                <button class="btn btn-act" data-keep data-count-of=".pick-issue" data-none="Tick orders"
                    data-some="Propose for # order(s)" @cannot('issue') disabled @endcannot>Propose</button>
                <x-choice name="part" label="What of them" :options="[
                    'whole' => 'all that is planned',
                    'reported' => 'what is counted so far',
                    'step' => 'one step',
                ]" />
                <x-field name="step_number" label="Step, if one" class="n" inputmode="numeric" />
                <x-why field="orders" />
            </div>
            @include('usage.orders')
        </x-form>
        <section>
            <h2 class="mt-0">Slips</h2>
            @if ($slips->isEmpty())
                <div class="none">No slip is under way.</div>
            @else
                @include('usage.slips')
            @endif
        </section>
    </div>
</x-layout>
