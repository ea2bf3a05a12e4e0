{{-- Items at or below their reorder point: by what is free and coming less what is promised. --}}
<p class="say">At or below the reorder point when all that is coming has come and all that is promised is gone.</p>
@if ($low->rows->isEmpty())
    <div class="none">Nothing is.</div>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Item</th>
                <th class="n">Free</th>
                <th class="n">Coming</th>
                <th class="n">Promised</th>
                <th class="n">Position</th>
                <th class="n">Reorder at</th>
                <th class="n">Missing</th>
                <th>Unit</th>
                <th>Proposed</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($low->rows as $item)
                <tr>
                    <td>
                        <a href="{{ route('stock.show', $item->id) }}"><span class="num">{{ $item->number }}</span></a>
                        {{ $item->name }}
                    </td>
                    <td class="n">{{ $print->amount($item->is->free) }}</td>
                    <td class="n">{{ $print->amount($item->is->coming) }}</td>
                    <td class="n">{{ $print->amount($item->is->promised) }}</td>
                    <td class="n"><strong>{{ $print->amount($item->is->position()) }}</strong></td>
                    <td class="n">{{ $print->amount($item->is->reorderPoint) }}</td>
                    <td @class(['n', 'behind notched' => $item->isMissing()])>
                        {{ $print->some($item->is->missing()) }}
                    </td>
                    <td>{{ $item->unit }}</td>
                    <td class="tight">@include('stock.proposed')</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-cut :of="$low" />
@endif
