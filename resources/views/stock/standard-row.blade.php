{{-- An item whose standard cost would be another. --}}
<tr>
    <td>
        <input type="checkbox" name="only[]" value="{{ $row->item->id }}" aria-label="Take {{ $row->item->number }}"
            @checked(in_array((string) $row->item->id, old('only', [(string) $row->item->id]), true))>
        <input type="hidden" name="seen[{{ $row->item->id }}]" value="{{ $row->seen() }}">
    </td>
    <td class="tight"><a class="num" href="{{ route('items.show', $row->item->id) }}">{{ $row->item->number }}</a></td>
    <td class="cut">{{ $row->item->name }}</td>
    <td class="n">{{ $print->price($row->standard->before) }}</td>
    <td class="n">
        <input @class(['form-control n', 'is-wrong' => $errors->has('costs.'.$row->item->id)])
            name="costs[{{ $row->item->id }}]" value="{{ old('costs.'.$row->item->id, $row->after()) }}"
            inputmode="decimal" autocomplete="off" aria-label="New cost of {{ $row->item->number }}"
            @cannot('value') disabled @endcannot>
        <x-why :field="'costs.'.$row->item->id" />
    </td>
    <td class="n">{{ $row->percentSays() }}</td>
    <td class="n">{{ $print->some($row->standard->onHand()) }}</td>
    <td>{{ $row->item->unit }}</td>
    <td class="n">{{ $print->money($row->standard->value()) }}</td>
    <td class="n">{{ $print->money($row->standard->more()) }}</td>
</tr>
