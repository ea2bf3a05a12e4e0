<table class="list">
    <thead>
        <tr>
            <th>Part</th>
            <th class="n">Takes</th>
            <th>Unit</th>
            <th class="n">Free</th>
            <th class="n">Missing</th>
            <th class="n w1">Used so far</th>
            <th class="n">Used now, if other</th>
            <th>Lot or serials</th>
        </tr>
    </thead>
    <tbody>
        @forelse ($page->parts as $part)
            <tr>
                <td class="cut">
                    <a href="{{ route('stock.show', $part->itemId) }}">{{ $part->name }}</a>
                    <span class="sub">{{ $part->number }}{{ $part->isPerOrder() ? ', once for all' : '' }}</span>
                </td>
                <td class="n">{{ $print->amount($page->due($part)) }}</td>
                <td>{{ $part->unit }}</td>
                <td class="n">{{ $print->amount($part->free) }}</td>
                <td class="n">
                    @if ($page->missing($part)->isPositive())
                        <span class="behind notched">{{ $print->amount($page->missing($part)) }}</span>
                    @endif
                </td>
                <td class="n w1">{{ $print->some($part->used) }}</td>
                <td class="n">
                    <input @class(['form-control n ms-auto',
                            'is-wrong' => $form->isWrong($form->key('parts', $part->position, 'quantity'))])
                        name="{{ $form->name('parts', $part->position, 'quantity') }}"
                        value="{{ $form->value($form->key('parts', $part->position, 'quantity')) }}"
                        inputmode="decimal" autocomplete="off" aria-label="Used now of {{ $part->name }}">
                    <x-why :field="$form->key('parts', $part->position, 'quantity')" />
                </td>
                <td>
                    @if ($part->takesCodes())
                        <textarea @class(['form-control',
                                'is-wrong' => $form->isWrong($form->key('parts', $part->position, 'codes'))])
                            name="{{ $form->name('parts', $part->position, 'codes') }}" rows="1" cols="18"
                            aria-label="Lot or serials of {{ $part->name }}" placeholder="{{ $part->codesHint() }}"
                            >{{ $form->value($form->key('parts', $part->position, 'codes')) }}</textarea>
                        <x-why :field="$form->key('parts', $part->position, 'codes')" />
                    @endif
                </td>
            </tr>
        @empty
            <tr><td colspan="8">It has no structure: nothing goes in.</td></tr>
        @endforelse
    </tbody>
</table>
