{{-- One line of a slip. Plain inputs: a slip can have five hundred lines. --}}
<tr @class(['wrong' => $form->isWrong($line), 'out' => $line->isOut]) data-line>
    <td class="tight">
        @if (! $page->isOfOrderAbove($at))
            <a class="num" href="{{ route('orders.show', $line->orderId) }}">{{ $line->order }}</a>
            @if ($line->orderSays() !== '')
                <span class="tag held">{{ $line->orderSays() }}</span>
            @endif
        @endif
    </td>
    <td class="n">{{ $line->step }}</td>
    <td>
        {{ $line->item }} <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
        @if ($line->reason !== '')
            <span class="sub"> · {{ $line->reason }}</span>
        @endif
        @if ($line->componentId === null)
            <span class="tag soon">not planned</span>
        @elseif ($line->isSubstitute())
            <span class="tag soon">for {{ $line->plannedItem }}</span>
        @endif
        @if ($line->isCustomersOwn())
            <span class="tag">customer's own</span>
        @endif
    </td>
    <td class="n w1">{{ $print->amount($line->planned) }}</td>
    <td class="n w1">
        {{ $print->some($line->used) }}
        @if ($line->replaced?->isPositive())
            <span class="sub"> +{{ $print->amount($line->replaced) }}</span>
        @endif
    </td>
    <td class="n">{{ $print->amount($line->proposed) }}</td>
    <td @class(['n w2', 'behind notched' => $line->isScarce()])>{{ $print->amount($line->onHand) }}</td>
    @if (! $mayBook || $line->isOut)
        <td class="n">{{ $line->isOut ? '–' : $line->typed }}</td>
        <td>{{ $line->unitSays() }}</td>
        <td>
            @foreach ($line->lots() as $split)
                {{ $split->code }}
                <span class="sub">{{ $print->amount($split->typed) }}</span>{{ $loop->last ? '' : ', ' }}
            @endforeach
        </td>
        <td class="tight">
            @if ($mayBook)
                <button class="btn btn-quiet btn-small" name="lines[{{ $line->id }}][out]" value="0">Put back</button>
            @endif
        </td>
    @else
        @include('usage.slip-inputs')
    @endif
</tr>
