<x-layout :title="'Booking '.$booking->id">
    <div class="head"><h1>Booking {{ $booking->id }}</h1><span class="say">{{ $booking->kind->label() }} · {{ $booking->user->name }} · entered {{ $print->moment($booking->entered_at) }}, booked on {{ $booking->booked_on }}</span></div>
    <p class="lead">{{ $print->says($booking->says) }}</p>
    @if ($booking->reason !== '')<p>Reason: {{ $booking->reason }}</p>@endif
    @if ($booking->reverses_id)<p>It reverses <a href="{{ route('bookings.show', $booking->reverses_id) }}">booking {{ $booking->reverses_id }}</a>.</p>@endif
    @if ($booking->order)<p>Order <a href="{{ route('orders.show', $booking->order_id) }}">{{ $booking->order->number }}</a></p>@endif
    @if ($booking->customer_order_id)<p><a href="{{ route('customer-orders.show', $booking->customer_order_id) }}">The customer order</a></p>@endif
    @include('bookings.moves')
    @if ($booking->stepEntries->isNotEmpty())<h2>Counts</h2><table class="list"><thead><tr><th>Step</th><th class="n">In</th><th class="n">Good</th><th class="n">Scrap</th><th class="n">Passed on</th><th class="n">Minutes</th></tr></thead><tbody>@foreach ($booking->stepEntries as $entry)<tr><td>{{ $entry->step->number }} {{ $entry->step->name }}</td>@foreach (['taken_in', 'good', 'scrap', 'passed_on'] as $column)<td class="n">{{ $print->amount($entry->{$column}) }}</td>@endforeach<td class="n">{{ $entry->machine_minutes }}</td></tr>@endforeach</tbody></table>@endif
    @if ($booking->costEntries->isNotEmpty())<h2>Cost</h2><table class="list"><thead><tr><th>Kind</th><th class="n">€</th></tr></thead><tbody>@foreach ($booking->costEntries as $entry)<tr><td>{{ $entry->kind }}</td><td class="n">{{ $print->money($entry->cents) }}</td></tr>@endforeach</tbody></table>@endif
    @if ($booking->isGoodsIn() && ! $reversedBy)
        @can('value')
            <x-form key="late" class="actions mt-3 align-items-end" :to="route('bookings.late-cost', $booking->id)">
                <x-field name="amount" label="A cost known only now, €" class="n" inputmode="decimal" />
                <x-field name="reason" label="What it is" placeholder="freight, duty, corrected price" size="26"
                    maxlength="200" />
                <button class="btn btn-quiet">Add it to these goods</button>
            </x-form>
        @endcan
    @endif
    @if ($changes->isNotEmpty())
    <h2>Product data changed</h2>
    <table class="list">
        <thead><tr><th>Of</th><th>What</th><th>From</th><th>To</th></tr></thead>
        <tbody>
        @foreach ($changes as $change)
            <tr>
                <td class="num tight">{{ $change->record }}</td>
                <td>{{ $change->field }}</td>
                <td>{{ $print->field($change->field, $change->before) }}</td>
                <td>{{ $print->field($change->field, $change->after) }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @if ($changes->count() === 300)<p class="sub">The first 300 of them.</p>@endif
    @endif
    @if ($reversedBy)<p class="mt-3">Reversed by <a href="{{ route('bookings.show', $reversedBy->id) }}">booking {{ $reversedBy->id }}</a>.</p>
    @elseif (auth()->user()->can('reverse') && $booking->kind->isReversible())
    <form class="actions mt-3" method="post" action="{{ route('bookings.destroy', $booking->id) }}">@csrf @method('delete') @token<input class="form-control" name="reason" value="{{ old('reason') }}" placeholder="why it is reversed" aria-label="Why it is reversed" size="40" maxlength="200"><button class="btn btn-quiet">Reverse this booking</button><x-why field="reason" /></form>
    @endif
</x-layout>
