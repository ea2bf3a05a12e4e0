{{-- The steps of a routing, with time and cost, drawn to scale. --}}
<p class="lead-strip">
    <x-pace :strip="$page->strip()" :words="false" :width="700" />
    <span class="sub">
        {{ $print->minutes($page->minutes()) }} of work here{{
            $page->days() === 0 ? '' : ', '.$print->count($page->days(), 'day', 'days').' at suppliers' }},
        for {{ $print->amount($page->pieces) }} {{ $item->unit->code }}
    </span>
</p>
@foreach ($page->phantoms as $one)
    <p class="sub mb-1">
        The steps of {{ $one->phantom }}, a phantom, come before {{ $one->step() }} in an order; they are not counted
        here.
    </p>
@endforeach
<table class="list">
    <thead>
        <tr>
            <th class="n">Step</th>
            <th></th>
            <th>At</th>
            <th class="n">Setup, min</th>
            <th>Run</th>
            <th class="n w2">Crew</th>
            <th class="n w2">Wait, min</th>
            <th class="n w2">Move, min</th>
            <th class="n">Time</th>
            <th class="n w1">€</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->rows as $row)
            <tr>
                <td class="n"><span class="num">{{ $row->number }}</span></td>
                <td>
                    {{ $row->name }}
                    @if ($row->family !== '')<span class="tag">{{ $row->family }}</span>@endif
                    @if ($row->isUnbroken)<span class="tag">not interrupted</span>@endif
                    @if ($row->qualification !== '')<span class="tag">{{ $row->qualification }}</span>@endif
                    @if ($row->needs() !== '')<span class="sub">{{ $row->needs() }}</span>@endif
                    @if ($row->instructions !== '')<span class="sub">{{ $row->instructions }}</span>@endif
                </td>
                <td @class(['outside' => $row->isOutside()])>
                    {{ $row->at }}
                    @if ($row->service !== '')<span class="sub text-nowrap">{{ $row->service }}</span>@endif
                    @if ($row->ways !== '')<span class="sub">or {{ $row->ways }}</span>@endif
                </td>
                <td class="n">{{ $print->some($row->setup) }}</td>
                <td class="tight">
                    {{ $row->run() }}
                    @if ($row->isOutside())
                        <span class="sub">
                            {{ $print->price($row->asked()->price) }} € each{{ $print->says($row->lumpsSay()) }}
                        </span>
                    @endif
                </td>
                <td class="n w2">{{ $row->crewSays() }}</td>
                <td class="n w2">{{ $print->some($row->wait) }}</td>
                <td class="n w2">{{ $print->some($row->move) }}</td>
                <td class="n">{{ $row->isOutside() ? '' : $print->minutes($row->minutes()) }}</td>
                <td class="n w1">{{ $print->money($row->cost()) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
