<table class="list">
    <thead>
        <tr>
            <th class="n">Step</th>
            <th>Item</th>
            <th>Lot or serial</th>
            <th class="n">Planned</th>
            <th class="n">In the order</th>
            <th>Unit</th>
            <th class="n">Value €</th>
            <th class="n">Back now</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($lots as $lot)
            <tr @class(['wrong' => $errors->has($lot->field())])>
                <td class="n">{{ $lot->step }}</td>
                <td>{{ $lot->item }} <span class="sub text-nowrap">{{ $lot->itemNumber }}</span></td>
                <td>{{ $lot->lot }}</td>
                <td class="n">{{ $print->amount($lot->planned) }}</td>
                <td class="n">{{ $print->amount($lot->quantity) }}</td>
                <td>{{ $lot->unit }}</td>
                <td class="n">{{ $print->money($lot->value) }}</td>
                <td class="n">
                    <input class="form-control n ms-auto" name="lines[{{ $lot->key }}]" value="{{ old($lot->field()) }}"
                        inputmode="decimal" autocomplete="off" aria-label="Back of {{ $lot->item }} {{ $lot->lot }}"
                        @cannot('issue') disabled @endcannot>
                    <x-why :field="$lot->field()" />
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
