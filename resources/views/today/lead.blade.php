{{-- What waits, in sentences; each figure leads to its list. Of what is nought only the first three are told. --}}
<p class="lead">
    <a href="{{ route('release.index') }}">
        {{ $print->count($today->counts['release'], 'order', 'orders') }} can be released</a>.
    <a href="{{ route('orders.index', ['readiness' => 'stuck']) }}"
        @class(['behind' => $today->counts['stuck'] > 0])>
        {{ $print->count($today->counts['stuck'], 'is', 'are') }} stuck</a>{{ $today->stuckFor() }};
    <a href="{{ route('late.index') }}" @class(['behind' => $today->counts['late'] > 0])>
        {{ $today->counts['late'] }} will miss
        {{ $today->counts['late'] === 1 ? 'its' : 'their' }} date</a>{{ $today->lateForParts() }}.
    @if ($today->short > 0)
        <a href="{{ route('shortages.index') }}" class="behind">
            {{ $print->count($today->short, 'item is', 'items are') }} short</a>.
    @endif
    @if ($today->uncovered->count > 0)
        <a href="{{ route('customer-orders.index', ['show' => 'uncovered']) }}" class="soon">
            {{ $print->count($today->uncovered->count, 'customer line is', 'customer lines are') }} not covered</a>.
    @endif
    @if ($today->counts['outside'] > 0)
        <a href="{{ route('at-suppliers.index') }}" class="outside">
            {{ $print->count($today->counts['outside'], 'job is', 'jobs are') }} outside</a>.
    @endif
    @if ($today->counts['to_go'] > 0)
        <a href="{{ route('send-outs.index') }}" class="soon">
            {{ $print->count($today->counts['to_go'], 'waits', 'wait') }} to go to a supplier</a>.
    @endif
    @if ($today->counts['receive'] > 0)
        <a href="{{ route('receive.index') }}">
            {{ $print->count($today->counts['receive'], 'order waits', 'orders wait') }} to be received</a>.
    @endif
    @if ($today->counts['shippable'] > 0)
        <a href="{{ route('ship.index') }}">
            {{ $print->count($today->counts['shippable'], 'line waits', 'lines wait') }} to be shipped</a>.
    @endif
    @if ($today->questionCount > 0)
        <a href="{{ route('questions.index') }}" class="soon">
            {{ $print->count($today->questionCount, 'question is', 'questions are') }} open</a>.
    @endif
    <span class="sub" style="font-size:.95rem">Last booking {{ $print->ago($today->lastBooking) }}.</span>
</p>
