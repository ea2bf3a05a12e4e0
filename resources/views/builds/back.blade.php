<table class="list back">
    <thead>
        <tr>
            <th>Item</th>
            <th>As</th>
            <th class="n">Comes</th>
            <th>Unit</th>
            <th class="n">Came, if other</th>
            <th>Lot or serials</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->back as $line)
            <tr>
                <td>
                    <a href="{{ route('stock.show', $line->itemId) }}">{{ $line->item }}</a>
                    <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
                </td>
                <td>{{ $line->kind->label() }}</td>
                <td class="n">{{ $print->amount($page->comes($line)) }}</td>
                <td>{{ $line->unit }}</td>
                <td class="n">
                    <input @class(['form-control n ms-auto',
                            'is-wrong' => $form->isWrong($form->key('back', $line->itemId, 'quantity'))])
                        name="{{ $form->name('back', $line->itemId, 'quantity') }}"
                        value="{{ $form->value($form->key('back', $line->itemId, 'quantity')) }}" inputmode="decimal"
                        autocomplete="off" aria-label="Came of {{ $line->item }}">
                    <x-why :field="$form->key('back', $line->itemId, 'quantity')" />
                </td>
                <td>
                    @if ($line->takesCodes())
                        <textarea @class(['form-control',
                                'is-wrong' => $form->isWrong($form->key('back', $line->itemId, 'codes'))])
                            name="{{ $form->name('back', $line->itemId, 'codes') }}" rows="1" cols="18"
                            aria-label="Lot or serials of {{ $line->item }}"
                            placeholder="{{ $line->takesSerials() ? 'each serial' : 'lot' }}"
                            >{{ $form->value($form->key('back', $line->itemId, 'codes')) }}</textarea>
                        <x-why :field="$form->key('back', $line->itemId, 'codes')" />
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
