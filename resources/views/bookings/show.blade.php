<x-layout :title="'Booking '.$booking->id">
    <div class="head">
        <h1>Booking {{ $booking->id }}</h1>
        <span class="say">
            {{ $print->kind($booking->kind) }} · {{ $booking->person->name }} · entered
            {{ $print->moment($booking->entered_at) }}, booked on {{ $print->dayOf($booking->booked_on) }}
        </span>
    </div>
    <p class="lead">{{ $print->says($booking->says) }}</p>
    @if ($booking->reason !== '')
        <p>Reason: {{ $booking->reason }}</p>
    @endif
    @if ($booking->reverses_id)
        <p>
            It reverses
            <a href="{{ route('bookings.show', $booking->reverses_id) }}">booking {{ $booking->reverses_id }}</a>.
        </p>
    @endif
    @if ($booking->order)
        <p>Order <a href="{{ route('orders.show', $booking->order_id) }}">{{ $booking->order->number }}</a></p>
    @endif
    @if ($booking->customer_order_id)
        <p><a href="{{ route('customer-orders.show', $booking->customer_order_id) }}">The customer order</a></p>
    @endif
    @if ($booking->moves->isNotEmpty())
        @include('bookings.moves')
    @endif
    @if ($booking->stepEntries->isNotEmpty())
        @include('bookings.counts')
    @endif
    @if ($booking->costEntries->isNotEmpty())
        <h2>Cost</h2>
        <table class="list">
            <thead>
                <tr>
                    <th>Kind</th>
                    <th class="n">€</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($booking->costEntries as $entry)
                    <tr>
                        <td>{{ $entry->kind }}</td>
                        <td class="n">{{ $print->money($entry->cents) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($booking->isGoodsIn() && ! $reversedBy)
        @can('value')
            <x-form key="late" class="actions mt-3 align-items-end" :to="route('bookings.late-cost', $booking->id)">
                <x-field name="amount" label="A cost known only now, €" class="n" inputmode="decimal" />
                <x-choice name="spread" label="Spread" :options="$print->spreads()" />
                <x-field name="reason" label="What it is" placeholder="freight, duty, corrected price" size="26"
                    maxlength="200" />
                <button class="btn btn-quiet">Add it to these goods</button>
            </x-form>
        @endcan
    @endif
    @if ($changes->count > 0)
        @include('bookings.product-data')
    @endif
    @if ($reversedBy)
        <p class="mt-3">
            Reversed by <a href="{{ route('bookings.show', $reversedBy->id) }}">booking {{ $reversedBy->id }}</a>.
        </p>
    @elseif ($mayReverse && $booking->kind->isReversible())
        <x-form method="delete" class="actions mt-3" :to="route('bookings.destroy', $booking->id)">
            <input class="form-control" name="reason" value="{{ old('reason') }}" placeholder="why it is reversed"
                aria-label="Why it is reversed" size="40" maxlength="200">
            <button class="btn btn-quiet">Reverse this booking</button>
            <x-why field="reason" />
        </x-form>
    @endif
</x-layout>
