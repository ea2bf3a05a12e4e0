<x-layout title="Plans">
    <p class="lead">
        One plan is live.
        {{ $print->count($whatIfs, 'what-if stands', 'what-ifs stand', 'No what-if stands') }} beside it. A what-if
        counts for nobody until it goes live.
    </p>
    @can('plan')
        <x-form class="actions" :to="route('plans.search')">
            <x-field name="seconds" label="Search for seconds" value="20" class="n" inputmode="numeric" />
            <x-field name="moved_weight" label="A step moved counts as minutes late" value="5" class="n"
                inputmode="numeric" />
            <x-field name="seed" label="Seed" value="1" class="n" inputmode="numeric" />
            <button class="btn btn-act align-self-end">Search a better plan</button>
            <span class="sub align-self-end">
                What runs, and what begins in the running shift, stays. A step whose parts are picked, whose tools are
                set or that people were told of counts as moved three times. The live plan stays too, until you take
                what was found.
            </span>
        </x-form>
    @endcan
    @include('plans.search')
    <table class="list mt-2">
        <thead>
            <tr>
                <th>Plan</th>
                <th>From</th>
                <th class="n">Late orders</th>
                <th class="n">All lateness, open hours</th>
                <th class="n">Steps that move</th>
                <th>Last finish</th>
                <th></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($plans as $plan)
                <tr>
                    <td>
                        @if ($plan->isLive)
                            <a href="{{ route('board') }}"><b>Live plan</b></a>
                        @else
                            <a href="{{ route('plans.show', $plan->id) }}">{{ $plan->name }}</a>
                            @if ($plan->isStale)
                                <span class="soon">older than the last booking</span>
                            @endif
                        @endif
                    </td>
                    <td class="sub">
                        @unless ($plan->isLive)
                            {{ $plan->person }}, {{ $print->when($plan->madeAt) }}. {{ $plan->says }}
                        @endunless
                    </td>
                    <td @class(['n', 'behind' => $plan->late > 0])>{{ $plan->late }}</td>
                    <td class="n">{{ $print->hours($plan->minutes) }}</td>
                    <td class="n">{{ $plan->isLive ? '' : $plan->moved }}</td>
                    <td>{{ $print->exact($plan->finish) }}</td>
                    <td class="tight">
                        @unless ($plan->isLive)
                            <a href="{{ route('board', ['plan' => $plan->id]) }}">on the board</a>
                        @endunless
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @can('plan')
        <x-form class="actions" :to="route('plans.store')">
            <x-field bare name="name" label="Name" placeholder="What if …" />
            <button class="btn btn-quiet">Copy the live plan to try things on</button>
        </x-form>
    @endcan
</x-layout>
