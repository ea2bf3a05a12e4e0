<x-layout title="Dispatch lists" data-plan>
    <p class="lead">What each work centre does next, in sequence, as the live plan has it.</p>
    @if ($centres->isEmpty())
        <x-no-centre />
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Work centre</th>
                    <th class="n">Machines</th>
                    <th>Running</th>
                    <th>Next</th>
                    <th>Item</th>
                    <th>At</th>
                    <th>Ready</th>
                    <th class="n" title="Steps that begin within seven days">In a week</th>
                    <th class="n" title="Of these, steps of orders that will miss their date">Of late orders</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($centres as $centre)
                    <tr>
                        <td><a href="{{ route('dispatch.show', $centre->id) }}">{{ $centre->name }}</a></td>
                        <td class="n">{{ $centre->machines }}</td>
                        <td>
                            @foreach ($centre->running as $row)
                                <a class="num" href="{{ route('orders.show', $row->orderId) }}">{{ $row->order }}</a>
                            @endforeach
                        </td>
                        @if ($centre->next === null)
                            <td colspan="4" class="sub">nothing is planned here</td>
                        @else
                            <td>
                                <a class="num" href="{{ route('orders.show', $centre->next->orderId) }}">
                                    {{ $centre->next->order }}</a>
                                {{ $centre->next->step() }}
                            </td>
                            <td class="cut">{{ $centre->next->item }}</td>
                            <td class="tight">{{ $print->exact($centre->next->startAt) }}</td>
                            <td class="tight {{ $centre->next->tone() }}">{{ $centre->next->ready }}</td>
                        @endif
                        <td class="n">{{ $centre->steps }}</td>
                        <td class="n behind">{{ $print->some($centre->late) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
