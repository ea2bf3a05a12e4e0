{{-- All levels of a structure. Nothing is a component in the loop: there can be two thousand. --}}
@if ($page->rows === [])
    <div class="none">It has no line yet.</div>
@else
    <table class="list levels" data-levels>
        <thead>
            <tr>
                <th>Line</th>
                <th>Component</th>
                <th class="n">Quantity</th>
                <th>Unit</th>
                <th class="n w2">Scrap %</th>
                <th class="n w2">Step</th>
                <th class="n">For {{ $print->amount($page->cost->pieces) }}</th>
                <th class="n w1">€ each</th>
                <th class="n">€</th>
                <th class="n w1" title="What a piece costs more with one more of it">One more €</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->rows as $row)
                <tr data-level="{{ $row->level() }}">
                    <td class="tight drawn-in" style="--level: {{ $row->level() }}">
                        @if ($row->isOpen())
                            <button type="button" class="fold" aria-expanded="true"
                                aria-label="Below {{ $row->number() }}">▾</button>
                        @elseif ($row->hasBelow())
                            <a class="fold" href="{{ route('items.show', $row->itemId()) }}"
                                title="Goes deeper">▸</a>
                        @endif
                        <span class="sub">{{ $row->position() }}</span>
                    </td>
                    <td>
                        <a class="num" href="{{ route('items.show', $row->itemId()) }}">{{ $row->number() }}</a>
                        {{ $row->name() }}
                        @if ($row->marks() !== '')<span class="tag">{{ $row->marks() }}</span>@endif
                        @if ($row->designators() !== '')<span class="sub">{{ $row->designators() }}</span>@endif
                    </td>
                    <td class="n">{{ $print->amount($row->quantity()) }}</td>
                    <td class="tight">{{ $row->unit() }}{{ $row->isPerOrder() ? ' an order' : '' }}</td>
                    <td class="n w2">{{ $print->some($row->scrap()) }}</td>
                    <td class="n w2">{{ $row->step() }}</td>
                    <td class="n">
                        {{ $print->amount($row->total()) }} <span class="sub">{{ $row->totalUnit() }}</span>
                    </td>
                    <td class="n w1">{{ $print->price($row->unitCost()) }}</td>
                    <td class="n">{{ $print->money($row->cost()) }}</td>
                    <td class="n w1">{{ $row->oneMore() === null ? '' : $print->price($row->oneMore()) }}</td>
                </tr>
            @endforeach
            <tr class="sum">
                <td></td>
                <td colspan="7">Work on it, by its routing</td>
                <td class="n">{{ $print->money($page->work) }}</td>
                <td class="w1"></td>
            </tr>
        </tbody>
    </table>
@endif
