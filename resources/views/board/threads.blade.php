{{-- What an order hangs on and what hangs on it, beside the board. --}}
<h2>
    <a href="{{ route('orders.show', $threads->order->id) }}">{{ $threads->order->number }}</a>
    {{ $print->amount($threads->order->quantity) }} {{ $threads->order->item->name }}
</h2>
@forelse ($threads->groups as $heading => $group)
    <h3>{{ $heading }}</h3>
    <ul>
        @foreach ($group as $thread)
            <li>
                <a href="{{ $thread->address }}">{{ $thread->what }}</a>
                <span @class(['behind' => $thread->isBehind])>{{ $thread->says }}</span>
            </li>
        @endforeach
    </ul>
@empty
    <p class="none">It hangs on nothing, and nothing hangs on it.</p>
@endforelse
