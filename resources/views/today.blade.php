<x-layout title="Today">
    <p class="lead">
        <a href="{{ route('release.index') }}">
            {{ $print->count($today->counts['release'], 'order', 'orders') }} can be released</a>.
        <a href="{{ route('orders.index', ['readiness' => 'stuck']) }}" @class(['behind' => $today->counts['stuck'] > 0])>{{ $print->count($today->counts['stuck'], 'is', 'are') }} stuck</a>@if ($today->missing !== []), {{ $today->counts['stuck'] === 1 ? 'for the ' : (current($today->missing) === $today->counts['stuck'] ? 'all for the ' : current($today->missing).' of them for the ') }}{{ Str::lcfirst(array_key_first($today->missing)) }}@endif; <a href="{{ route('shortages.index') }}" @class(['behind' => $today->short > 0])>{{ $print->count($today->short, 'item is', 'items are') }} short</a>.
        <a href="{{ route('late.index') }}" @class(['behind' => $today->counts['late'] > 0])>{{ $today->counts['late'] }} will miss {{ $today->counts['late'] === 1 ? 'its' : 'their' }} date</a>@if ($today->counts['for_parts'] > 0), {{ $today->counts['for_parts'] === $today->counts['late'] ? 'all' : $today->counts['for_parts'] }} of them for parts nobody has ordered @endif.
        <a href="{{ route('customer-orders.index', ['show' => 'uncovered']) }}" @class(['soon' => $today->uncovered->count > 0])>{{ $print->count($today->uncovered->count, 'customer line is', 'customer lines are') }} not covered</a>.
        <a href="{{ route('orders.index', ['pace' => 'outside']) }}" class="outside">{{ $print->count($today->outside->count(), 'job is', 'jobs are') }} outside</a>.
        <a href="{{ route('receive.index') }}">{{ $print->count($today->counts['receive'], 'order waits', 'orders wait') }} to be received</a>,
        <a href="{{ route('ship.index') }}">{{ $print->count($today->counts['shippable'], 'line', 'lines') }} to be shipped</a>.
        <a href="{{ route('questions.index') }}" @class(['soon' => $today->questionCount > 0])>{{ $print->count($today->questionCount, 'question is', 'questions are') }} open</a>.
        <span class="sub" style="font-size:.95rem">Last booking {{ $print->ago($today->lastBooking) }}.</span>
    </p>
    <div class="halves today">
        <section>
            <h2><a href="{{ route('late.index') }}">Behind, worst first</a></h2>
            @include('orders.short-list', ['rows' => $today->late, 'none' => 'No order will miss its date.', 'why' => true, 'strip' => true])
            <h2>Stuck, and for what</h2>
            @include('orders.short-list', ['rows' => $today->stuck, 'none' => 'Nothing is stuck.', 'why' => true])
        </section>
        <section>
            <h2>Can be released</h2>
            @include('orders.short-list', ['rows' => $today->release, 'none' => 'No firm order has its parts.', 'pace' => true])
            @if ($today->questions->isNotEmpty())<h2>Open questions</h2><table class="list"><thead><tr><th>Since</th><th>What</th><th>Of</th></tr></thead><tbody>@foreach ($today->questions as $row)<tr><td class="tight">{{ $print->ago($row->opened_at) }}</td><td class="rest" title="{{ $print->says($row->says) }}"><a href="{{ $row->kind === 'short' ? route('orders.show', $row->order_id) : route('questions.index') }}">{{ $print->says($row->says) }}</a></td><td class="tight">{{ $row->role }}</td></tr>@endforeach</tbody></table>@endif
            <h2>Not covered</h2>
            @if ($today->uncovered->count === 0)<div class="none">Every customer line is covered.</div>@else
            <table class="list"><thead><tr><th>Line</th><th>Customer</th><th>Item</th><th>Promised</th></tr></thead><tbody>
                @foreach ($today->uncovered->rows->take(7) as $line)<tr><td class="tight"><a class="num" href="{{ route('customer-orders.show', $line->customer_order_id) }}">{{ $line->number }}/{{ $line->position }}</a></td><td class="cut">{{ $line->customer }}</td><td class="cut"><x-amount :of="$line->quantity" :unit="$line->unit" /> {{ $line->item_name }}</td><td class="tight">{{ $print->day($line->promised_on) }}</td></tr>@endforeach
            </tbody></table>@endif
            <h2>Outside the house</h2>
            @if ($today->outside->isEmpty())<div class="none">Nothing is at a supplier.</div>@else
            <table class="list"><thead><tr><th>Order</th><th>Step</th><th>At</th><th>Back</th></tr></thead><tbody>
                @foreach ($today->outside->take(7) as $out)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('orders.show', $out->job->orderId) }}">
                                {{ $out->job->order }}
                            </a>
                        </td>
                        <td class="cut">
                            {{ $out->job->name }}, <x-amount :of="$out->job->toDo()" :unit="$out->job->unit" />
                        </td>
                        <td class="cut outside">{{ $out->supplier }}</td>
                        <td><x-back :handfuls="$out->handfuls" :unit="$out->job->unit" /></td>
                    </tr>
                @endforeach
            </tbody></table>@endif
        </section>
    </div>
</x-layout>
