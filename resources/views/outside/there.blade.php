{{-- Pieces with suppliers; what came back is booked in its row. --}}
<div class="wide">
    <table class="list there">
        <thead>
            <tr>
                <th>Order</th>
                <th class="broad">Item</th>
                <th class="middle">Step</th>
                @if ($page->by !== 'supplier')
                    <th class="middle">At</th>
                @endif
                <th>With</th>
                <th class="middle">Work on</th>
                <th class="n">There</th>
                <th class="n">Days out</th>
                <th class="broad">Back</th>
                @can('see-money')
                    <th class="n">€ in the order</th>
                @endcan
                @can('outside')
                    <th class="deeds">Came back</th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a>
                    </td>
                    <td class="cut">{{ $row->item }}</td>
                    <td class="cut">{{ $row->step() }}</td>
                    @if ($page->by !== 'supplier')
                        <td class="cut outside">{{ $row->supplier }}</td>
                    @endif
                    <td class="tight">
                        @foreach ($row->handfuls as $handful)
                            <a class="num" href="{{ route('consignments.show', $handful->consignmentId) }}">
                                {{ $handful->consignment }}</a>
                        @endforeach
                    </td>
                    <td class="tight">
                        @if ($page->workOf($row) === [])
                            <span class="soon">not ordered</span>
                        @else
                            <x-work :of="$page->workOf($row)" />
                        @endif
                    </td>
                    <td class="n">{{ $print->amount($row->there) }} {{ $row->unit }}</td>
                    <td class="n">{{ $row->daysOut($print->today()) }}</td>
                    <td><x-back :handfuls="$row->handfuls" :unit="$row->unit" /></td>
                    @can('see-money')
                        <td class="n">{{ $print->money($row->cents) }}</td>
                    @endcan
                    @can('outside')
                        <td>
                            <x-back-forms :row="$row" />
                        </td>
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
