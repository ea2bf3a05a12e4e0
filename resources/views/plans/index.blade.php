<x-layout title="Plans">
    <p class="lead">One plan is live. {{ $print->count($plans->where('is_live', false)->count(), 'what-if stands', 'what-ifs stand', 'No what-if stands') }} beside it. A what-if counts for nobody until it goes live.</p>
    @can('plan')
    <form method="post" action="{{ route('plans.search') }}" class="actions">@csrf @token
        <x-field name="seconds" label="Search for seconds" value="20" class="n" inputmode="numeric" /><x-field name="moved_weight" label="A step moved counts as minutes late" value="5" class="n" inputmode="numeric" /><x-field name="seed" label="Seed" value="1" class="n" inputmode="numeric" />
        <button class="btn btn-act align-self-end">Search a better plan</button>
        <span class="sub align-self-end">What runs, and what begins in the running shift, stays. The live plan stays too, until you take what was found.</span>
    </form>
    @endcan
    @include('plans.search')
    <table class="list mt-2"><thead><tr><th>Plan</th><th>From</th><th class="n">Late orders</th><th class="n">All lateness, open hours</th><th class="n">Steps that move</th><th>Last finish</th><th></th></tr></thead><tbody>
    @foreach ($plans as $plan)
        <tr><td>@if ($plan->is_live)<a href="{{ route('board') }}"><b>Live plan</b></a>@else<a href="{{ route('plans.show', $plan->id) }}">{{ $plan->name }}</a>@if ($plan->isStale) <span class="soon">older than the last booking</span>@endif @endif</td>
            <td class="sub">{{ $plan->is_live ? '' : "{$plan->person}, ".$print->when($plan->made_at).'. '.$plan->says }}</td><td class="n {{ $plan->late > 0 ? 'behind' : '' }}">{{ (int) $plan->late }}</td><td class="n">{{ $print->hours($plan->minutes) }}</td><td class="n">{{ $plan->is_live ? '' : $plan->moved }}</td><td>{{ $print->when($plan->finish) }}</td>
            <td class="tight">@unless ($plan->is_live) <a href="{{ route('board', ['plan' => $plan->id]) }}">on the board</a> @endunless</td></tr>
    @endforeach
    </tbody></table>
    @can('plan')<form method="post" action="{{ route('plans.store') }}" class="actions">@csrf @token<x-field name="name" label="Name" placeholder="What if …" bare /><button class="btn btn-quiet">Copy the live plan to try things on</button></form>@endcan
</x-layout>
