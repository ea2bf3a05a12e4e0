<x-layout :title="$plan->name">
    <div class="head">
        <h1>{{ $plan->name }}</h1>
        <span class="say">{{ $print->says($plan->says) }} Made {{ $print->when($plan->made_at) }}.</span>
        <a href="{{ route('plans.index') }}">all plans</a>
        <a href="{{ route('board', ['plan' => $plan->id, 'moved' => 1]) }}">on the board</a>
    </div>
    @include('plans.broken', ['broken' => $compared->broken])
    @if ($compared->againstRank !== '')
        <p class="said note">{{ $compared->againstRank }}</p>
    @endif
    <p class="lead">
        {{ $compared->says() }} <b>{{ $compared->totalAfter() }}</b>.
        @if ($compared->savedSays() !== '')
            <span class="good">{{ $compared->savedSays() }}</span>
        @endif
        @if ($compared->lateSays() !== '')
            <span class="behind">{{ $compared->lateSays() }}</span>
        @else
            Nobody becomes late.
        @endif
        {{ $compared->effect['moved'] }} steps move.
    </p>
    @foreach ($compared->levers() as $lever)
        <p class="said note">It takes to be so: {{ $lever['says'] }}. {{ $lever['becomes'] }}</p>
    @endforeach
    @if ($compared->since->isNotEmpty())
        <div class="said note">
            <span>
                Booked since it was worked out: {{ $print->says($compared->sinceSays()) }} It is worked out again before
                it can go live.
            </span>
            @can('plan')
                <x-form :to="route('plans.again', $plan->id)">
                    <button class="btn btn-act btn-small">Work it out again</button>
                </x-form>
            @endcan
        </div>
    @endif
    @can('plan')
        <div class="actions">
            @if ($compared->since->isEmpty())
                <x-form :to="route('plans.live', $plan->id)">
                    <input type="hidden" name="seen" value="{{ $seen }}">
                    <button class="btn btn-act">Let it go live</button>
                </x-form>
            @endif
            <x-form method="delete" :to="route('plans.destroy', $plan->id)">
                <button class="btn btn-quiet">Throw it away</button>
            </x-form>
        </div>
    @endcan
    <div class="halves">
        <section>
            <h2>Late orders, before and after</h2>
            @include('plans.late')
        </section>
        <section>
            <h2>Load of the next days, live plan above, this one below</h2>
            @include('plans.load')
        </section>
    </div>
    <h2>{{ $compared->movesTitle() }}</h2>
    @include('plans.moves')
</x-layout>
