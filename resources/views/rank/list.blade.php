{{-- All open orders in their rank; who may change it has arrows and rows to drag. --}}
<table class="list" data-rank>
    <thead>
        <tr>
            <th class="n">Place</th>
            <th>Order</th>
            <th>Item</th>
            <th class="w1">For</th>
            <th class="w2">State</th>
            <th>Steps, and where it should be by now</th>
            <th>Pace</th>
            <th class="w2">Due</th>
            <th>Readiness</th>
            @if ($mayRank)
                <th></th>
            @endif
        </tr>
    </thead>
    <tbody>
        @foreach ($rows as $row)
            <tr data-order="{{ $row->order->id }}" @if ($mayRank) draggable="true" @endif
                @class(['picked-row' => $effect?->order->id === $row->order->id])>
                <td class="n">{{ $row->place }}</td>
                <td class="tight">
                    <a class="num" href="{{ route('orders.show', $row->order->id) }}"
                        draggable="false">{{ $row->order->number }}</a>
                </td>
                <td class="cut">{{ $row->order->item }} <span class="sub">{{ $row->order->itemNumber }}</span></td>
                <td class="cut w1 whom">{{ $row->order->forWhom() }}</td>
                <td class="w2"><x-state :state="$row->order->state" :held="$row->order->isHeld" /></td>
                <td class="strip"><x-pace :strip="$strips[$row->order->id]" :words="false" /></td>
                <td class="tight">
                    @if ($row->order->pace() !== null)
                        <x-late :minutes="$row->order->pace()" />
                    @endif
                </td>
                <td class="tight w2">{{ $print->day($row->order->dueOn) }}</td>
                <td class="fill"><x-readiness :of="$row->order->readiness" /></td>
                @if ($mayRank)
                    <td class="tight">
                        @foreach ($row->moves as $move)
                            <button class="btn btn-quiet btn-small" name="move"
                                value="{{ $row->order->id }}-{{ $move->before }}"
                                aria-label="{{ $row->order->number }} {{ $move->says }}"
                                @disabled($move->before === null)>{{ $move->sign }}</button>
                        @endforeach
                    </td>
                @endif
            </tr>
        @endforeach
    </tbody>
</table>
