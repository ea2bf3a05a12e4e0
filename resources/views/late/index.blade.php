<x-layout title="Late orders" data-plan>
    <p class="lead">
        @if ($late->isEmpty())
            No order will miss its date.
        @else
            {{ $print->count($late->count(), 'order will miss its date', 'orders will miss their date') }}.
        @endif
        @if ($forParts > 0)
            <span class="behind">{{ $forParts }} for parts nobody has ordered</span>,
            {{ $forTime }} for time: machines, people, suppliers, parts that are on their way.
        @endif
    </p>
    @if ($late->isEmpty())
        <p class="none">
            When one will, it stands here with what it waits for and what would help.
            <a href="{{ route('board') }}">Board</a>
        </p>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Order</th>
                    <th>Item</th>
                    <th>Due</th>
                    <th>Finish</th>
                    <th>Late by</th>
                    <th class="w2">Pace</th>
                    @if ($forParts > 0)
                        <th>Late for</th>
                    @endif
                    <th>What it waits for</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($late as $one)
                    <tr>
                        <td>
                            <a class="num"
                                href="{{ route('orders.show', $one->order->id) }}">{{ $one->order->number }}</a>
                        </td>
                        <td class="cut">{{ $print->amount($one->order->quantity) }} {{ $one->order->item }}</td>
                        <td class="tight">{{ $print->day($one->order->dueAt) }}</td>
                        <td class="tight">{{ $print->when($one->order->finishAt) }}</td>
                        <td class="tight"><x-late :minutes="$one->order->lateMinutes" /></td>
                        <td class="strip w2"><x-pace :strip="$strips[$one->order->id]" :words="false" /></td>
                        @if ($forParts > 0)
                            <td class="tight">{{ $one->order->lateFor?->label() }}</td>
                        @endif
                        <td>{{ $one->cause }}</td>
                        <td class="tight"><a href="{{ route('late.show', $one->order->id) }}">Levers</a></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
