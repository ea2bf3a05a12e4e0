{{-- What comes back of an order beside its product: booked with it, by the same form. --}}
<tr class="back">
    <td></td>
    <td class="cut">
        <span class="sub">{{ $line->kind->label() }}</span> {{ $line->item }}
        <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
    </td>
    <td class="w1"></td>
    <td class="n">{{ $print->some($order->goesWith($line)) }} {{ $line->unit }}</td>
    <td class="n w2">{{ $print->amount($line->received) }} of {{ $print->amount($line->planned) }}</td>
    @can('receive')
        <td class="n">
            <x-field bare :in="$typed($order->form())" form="r{{ $order->id }}" :name="$line->name('quantity')"
                :field="$line->key('quantity')" :label="'Quantity of '.$line->item" class="n ms-auto"
                :placeholder="$line->takesCodes() ? '' : $print->amount($order->goesWith($line))" inputmode="decimal" />
        </td>
        <td class="sub">{{ $line->takesCodes() ? 'each is named' : 'empty: as goes with them' }}</td>
        <td colspan="2">
            @if ($line->takesCodes())
                <textarea class="form-control" form="r{{ $order->id }}" name="{{ $line->name('codes') }}" rows="1"
                    cols="18" aria-label="{{ $line->codesLabel() }}"
                    placeholder="{{ $line->takesSerials() ? 'serials, one a line' : 'lot' }}"
                    >{{ $typed($order->form())->value($line->key('codes')) }}</textarea>
                <x-why :field="$line->key('codes')" />
            @endif
        </td>
    @endcan
</tr>
