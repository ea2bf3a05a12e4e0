@props(['of'])
{{-- Components that were used otherwise than planned, and what that costs. --}}
<x-more class="mt-2"
    :summary="'Planned against used: '.$print->count($of->count(), 'component differs', 'components differ')">
    <table class="list">
        <thead>
            <tr>
                <th>Item</th>
                <th class="n">Planned</th>
                <th class="n">Used</th>
                <th class="n">Difference</th>
                <th>Unit</th>
                <th class="n">By quantity €</th>
                <th class="n">By price €</th>
                <th>Reasons given</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($of as $row)
                <tr>
                    <td>{{ $row->part->item }} <span class="sub text-nowrap">{{ $row->part->itemNumber }}</span></td>
                    <td class="n">{{ $print->amount($row->part->planned) }}</td>
                    <td class="n">{{ $print->amount($row->part->used) }}</td>
                    <td @class(['n', 'behind' => $row->variance->quantity->isPositive()])>
                        {{ $print->amount($row->variance->quantity) }}
                    </td>
                    <td>{{ $row->part->unit }}</td>
                    <td class="n">{{ $print->money($row->variance->byQuantity) }}</td>
                    <td class="n">{{ $print->money($row->variance->byPrice) }}</td>
                    <td class="sub">{{ $row->reasons }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-more>
