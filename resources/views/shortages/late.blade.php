{{-- Parts whose purchase comes too late for their order to keep its date. --}}
<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th>Item</th>
            <th class="n">Step</th>
            <th>Comes with</th>
            <th>Needed</th>
            <th>Pace</th>
            <th>Cure</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($list->waiting as $part)
            @foreach ($part->tooLate() as $coming)
                <tr>
                    <td><a class="num" href="{{ route('orders.show', $part->orderId) }}">{{ $part->order }}</a></td>
                    <td>{{ $part->item }} <span class="sub text-nowrap">{{ $part->itemNumber }}</span></td>
                    <td class="n">{{ $part->step }}</td>
                    <td>
                        {{ $print->amount($coming->quantity) }} {{ $part->unit }} of {{ $coming->by->number }},
                        {{ $coming->arrivalSays() }}
                        @if ($list->lineOf($part, $coming)?->isHurried)
                            <span class="sub">hurried</span>
                        @endif
                    </td>
                    <td class="tight" title="The latest it could be used for the order to keep its date.">
                        {{ $print->day($part->neededAt) }}
                    </td>
                    <td class="tight"><x-late :minutes="$part->lateMinutes" /></td>
                    <td>
                        @can('purchase')
                            <x-hurry :line="$list->lineOf($part, $coming)" :today="$list->today()"
                                :for="$part->order" />
                        @endcan
                    </td>
                </tr>
            @endforeach
        @endforeach
    </tbody>
</table>
