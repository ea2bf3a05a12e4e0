@props(['of'])
{{-- What an order was to cost, what it has cost, what went out of it and what is in it still. --}}
<table class="list">
    <thead>
        <tr>
            <th></th>
            <th class="n">Planned €</th>
            <th class="n">Actual €</th>
            <th class="n">Difference €</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($of->lines as $line)
            <tr>
                <td>{{ $line->kind }}</td>
                <td class="n">{{ $of->isPlanned ? $print->money($line->planned) : '' }}</td>
                <td class="n">{{ $print->money($line->actual) }}</td>
                <td @class(['n', 'behind' => $line->isOver()])>
                    {{ $of->isPlanned ? $print->money($line->difference()) : '' }}
                </td>
            </tr>
        @endforeach
        <tr>
            <td><strong>{{ $of->putIn->kind }}</strong></td>
            <td class="n">
                <strong>{{ $of->isPlanned ? $print->money($of->putIn->planned) : '' }}</strong>
            </td>
            <td class="n"><strong>{{ $print->money($of->putIn->actual) }}</strong></td>
            <td class="n">{{ $of->isPlanned ? $print->money($of->putIn->difference()) : '' }}</td>
        </tr>
        <tr>
            <td>received into stock</td>
            <td></td>
            <td class="n">{{ $print->money($of->received) }}</td>
            <td></td>
        </tr>
        @if ($of->scrapped !== 0)
            <tr>
                <td>came out as scrap</td>
                <td></td>
                <td class="n">{{ $print->money($of->scrapped) }}</td>
                <td></td>
            </tr>
        @endif
        <tr>
            <td>variance, at closing</td>
            <td></td>
            <td class="n">{{ $print->money($of->variance) }}</td>
            <td></td>
        </tr>
        <tr>
            <td>still in the order</td>
            <td></td>
            <td class="n">{{ $print->money($of->stillIn()) }}</td>
            <td></td>
        </tr>
    </tbody>
</table>
@if (! $of->isPlanned)
    <p class="sub mt-1">What it is to cost is set when it is released.</p>
@endif
