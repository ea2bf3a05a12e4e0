<x-layout title="Chase" data-plan>
    <div class="head">
        <h1>Chase</h1>
        <span class="say">
            {{ $print->count(count($rows), 'thing', 'things', 'Nothing') }} to ask suppliers about, worst first by what
            it holds up.
        </span>
        <a class="ms-auto" href="{{ route('purchases.index') }}">Purchases</a>
    </div>
    @if ($rows === [])
        <div class="none">Nothing is overdue, holds up an order, or is unconfirmed.</div>
    @else
        <table class="list chase">
            <thead>
                <tr>
                    <th>Supplier</th>
                    <th>What</th>
                    <th class="n">To come</th>
                    <th>Unit</th>
                    <th>With</th>
                    <th>Expected</th>
                    <th>Why</th>
                    <th>Orders that wait</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <td class="cut">
                            @can('purchase')
                                <a href="{{ route('chase.call', $row->supplierId) }}"
                                    title="One sheet for a call">{{ $row->supplier }}</a>
                            @else
                                {{ $row->supplier }}
                            @endcan
                        </td>
                        <td>{{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span></td>
                        <td class="n">{{ $print->amount($row->quantity) }}</td>
                        <td>{{ $row->unit }}</td>
                        <td class="tight"><a href="{{ $row->to }}">{{ $row->document }}</a></td>
                        <td @class(['comes' => $row->isLate(), 'behind notched' => $row->isLate()])>
                            {{ $row->arrivalSays() }}
                            @if ($row->history !== '')<div class="sub">{{ $row->history }}</div>@endif
                        </td>
                        <td @class(['tight', 'behind' => $row->lateOrders() > 0, 'soon' => $row->lateOrders() === 0])>
                            {{ $row->why() }}
                        </td>
                        <td>
                            @foreach ($row->holdsUp as $order)
                                <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                                @if ($order->isLate())
                                    <span class="sub behind">{{ $print->pace($order->late) }}</span>
                                @endif
                            @endforeach
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
