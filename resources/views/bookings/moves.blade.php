{{-- What a booking moved; lines of it can be taken back, and a wrong lot corrected. --}}
<h2>Moves</h2>
@if ($maySplit)
    <x-form id="lines" method="delete" key="lines" :to="route('bookings.lines', $booking->id)" />
@endif
<table class="list">
    <thead>
        <tr>
            @if ($maySplit)
                <th></th>
            @endif
            <th>Item</th>
            <th>Lot or serial</th>
            <th>From</th>
            <th>To</th>
            <th class="n">Quantity</th>
            <th>Unit</th>
            <th class="n">Value €</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($booking->moves as $move)
            <tr @class(['out' => $move->reversedBy])>
                @if ($maySplit)
                    <td>
                        @if ($move->canBeTakenBack())
                            <input type="checkbox" form="lines" name="moves[]" value="{{ $move->id }}" data-counts
                                class="pick-move" aria-label="{{ $move->takeBackLabel() }}">
                        @endif
                    </td>
                @endif
                <td>
                    <a href="{{ route('stock.show', $move->item_id) }}">{{ $move->item->number }}</a>
                    {{ $move->item->name }}
                    @if ($move->reason !== '')
                        <span class="sub">({{ $move->reason }})</span>
                    @endif
                    @if ($move->scrapSays() !== '')
                        <span class="tag">{{ $move->scrapSays() }}</span>
                    @endif
                </td>
                <td>{{ $move->lot?->code }}</td>
                <td>{{ $move->fromSays() }}</td>
                <td>
                    @if ($move->isToOrder() && $move->order)
                        <a href="{{ route('orders.show', $move->order_id) }}">order {{ $move->order->number }}</a>
                    @else
                        {{ $move->toSays() }}
                    @endif
                </td>
                <td class="n">{{ $print->amount($move->quantity) }}</td>
                <td>{{ $move->item->unit->code }}</td>
                <td class="n">{{ $print->money($move->value) }}</td>
                <td class="tight">
                    @if ($move->reversedBy)
                        <a href="{{ route('bookings.show', $move->reversedBy->booking_id) }}">taken back</a>
                    @elseif ($mayReverse && $move->canHaveWrongLot())
                        <x-lot-correct :move="$move" />
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
@if ($maySplit)
    <div class="actions">
        <input class="form-control" form="lines" name="reason"
            value="{{ old('form') === 'lines' ? old('reason') : '' }}" placeholder="why they are taken back"
            aria-label="Why these lines are taken back" size="30" maxlength="200">
        <button class="btn btn-quiet" form="lines" data-count-of=".pick-move" data-none="Tick lines to take back"
            data-some="Take # line(s) back">Take lines back</button>
    </div>
@endif
@if ($booking->tookToOrders())
    <p class="mt-2">
        <a href="{{ route('bookings.labels', $booking->id) }}">Labels for what went to orders</a>
    </p>
@endif
