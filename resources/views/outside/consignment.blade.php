<x-layout :title="$page->consignment->number" data-plan>
    <div class="head">
        <h1>{{ $page->consignment->number }}</h1>
        <span class="say">
            to
            <a class="outside" href="{{ route('suppliers.show', $page->consignment->supplier_id) }}">
                {{ $page->consignment->supplier->name }}</a>,
            sent {{ $print->exact($page->consignment->sent_at) }}
            @if ($page->consignment->from) straight from {{ $page->consignment->from->name }}@endif.
            {{ $page->says() }}
            {{ $page->consignment->note }}
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('consignments.paper', $page->consignment->id) }}" target="_blank">Packing list</a>
        <a href="{{ route('consignments.labels', $page->consignment->id) }}" target="_blank">Labels</a>
        <a href="{{ route('at-suppliers.index') }}">At suppliers</a>
        <a href="{{ route('send-outs.index') }}">Send out</a>
    </div>
    @if ($page->lines->isNotEmpty())
        <div class="wide">
            <table class="list">
                <thead>
                    <tr>
                        <th class="n">Line</th>
                        <th>Order</th>
                        <th>Item</th>
                        <th>Step</th>
                        <th class="n">Sent</th>
                        <th class="n">Good</th>
                        <th class="n">Spoiled</th>
                        <th class="n">Lost</th>
                        <th class="n">To do again</th>
                        <th class="n">There</th>
                        <th>Unit</th>
                        <th>Back</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->lines as $line)
                        <tr>
                            <td class="n">{{ $line->position }}</td>
                            <td class="tight">
                                <a class="num" href="{{ route('orders.show', $line->orderId) }}">{{ $line->order }}</a>
                            </td>
                            <td>{{ $line->item }} <span class="sub text-nowrap">{{ $line->itemNumber }}</span></td>
                            <td>{{ $line->step }}</td>
                            <td class="n">{{ $print->amount($line->pieces->sent) }}</td>
                            <td class="n">{{ $print->some($line->pieces->good) }}</td>
                            <td class="n">{{ $print->some($line->pieces->spoiled) }}</td>
                            <td class="n">{{ $print->some($line->pieces->lost) }}</td>
                            <td class="n">{{ $print->some($line->pieces->unworked) }}</td>
                            <td class="n">{{ $print->some($line->there()) }}</td>
                            <td>{{ $line->unit }}</td>
                            <td @class(['behind notched' => $line->isThere() && $line->back->isLate()])>
                                @if ($line->isThere())
                                    {{ $print->arrival($line->back) }}
                                    <x-more summary="back when?" class="when">
                                        <x-comes :to="route('arrivals.consignment', $line->id)" :days="$page->days"
                                            :form="'arrival-consignment-'.$line->id" />
                                    </x-more>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
    @if ($page->parts->isNotEmpty())
        @include('outside.sent-parts')
    @endif
    <h2>Bookings</h2>
    <x-bookings :rows="$page->bookings" />
</x-layout>
