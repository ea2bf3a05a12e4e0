{{-- What waits, in sentences; each figure leads to its list. --}}
<p class="lead">
    <a href="{{ route('release.index') }}">
        {{ $print->count($today->counts['release'], 'order', 'orders') }} can be released</a>.
    <a href="{{ route('orders.index', ['readiness' => 'stuck']) }}"
        @class(['behind' => $today->counts['stuck'] > 0])>
        {{ $print->count($today->counts['stuck'], 'is', 'are') }} stuck</a>{{ $today->stuckFor() }};
    <a href="{{ route('shortages.index') }}" @class(['behind' => $today->short > 0])>
        {{ $print->count($today->short, 'item is', 'items are') }} short</a>.
    <a href="{{ route('late.index') }}" @class(['behind' => $today->counts['late'] > 0])>
        {{ $today->counts['late'] }} will miss
        {{ $today->counts['late'] === 1 ? 'its' : 'their' }} date</a>{{ $today->lateForParts() }}.
    <a href="{{ route('customer-orders.index', ['show' => 'uncovered']) }}"
        @class(['soon' => $today->uncovered->count > 0])>
        {{ $print->count($today->uncovered->count, 'customer line is', 'customer lines are') }} not covered</a>.
    <a href="{{ route('at-suppliers.index') }}" class="outside">
        {{ $print->count($today->counts['outside'], 'job is', 'jobs are') }} outside</a>,
    <a href="{{ route('send-outs.index') }}" @class(['soon' => $today->counts['to_go'] > 0])>
        {{ $print->count($today->counts['to_go'], 'waits', 'wait') }} to go</a>.
    <a href="{{ route('receive.index') }}">
        {{ $print->count($today->counts['receive'], 'order waits', 'orders wait') }} to be received</a>,
    <a href="{{ route('ship.index') }}">
        {{ $print->count($today->counts['shippable'], 'line', 'lines') }} to be shipped</a>.
    <a href="{{ route('questions.index') }}" @class(['soon' => $today->questionCount > 0])>
        {{ $print->count($today->questionCount, 'question is', 'questions are') }} open</a>.
    <span class="sub" style="font-size:.95rem">Last booking {{ $print->ago($today->lastBooking) }}.</span>
</p>
