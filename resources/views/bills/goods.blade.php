{{-- What came of this supplier and is not billed, with the figures as they were agreed. --}}
<div class="wide">
    <table class="list typed level">
        <thead>
            <tr>
                <th>Billed</th>
                <th>Line</th>
                <th>Item</th>
                <th class="n">Here, not billed</th>
                <th class="n">Billed</th>
                <th>Unit</th>
                <th class="n">€ a unit</th>
                <th class="n">Agreed €</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($sheet->rows as $row)
                <tr @class(['wrong' => $errors->has($row->key())])>
                    <td>
                        <input type="checkbox" name="{{ $row->field('on') }}" value="1"
                            aria-label="{{ $row->owed->number }} is billed" @checked(old($row->key('on')))>
                    </td>
                    <td class="num tight">
                        <a href="{{ route('purchases.show', $row->owed->orderId) }}">{{ $row->owed->number }}</a>
                    </td>
                    <td>
                        {{ $row->owed->item }} <span class="sub text-nowrap">{{ $row->owed->itemNumber }}</span>
                        @if ($row->owed->onBill)<span class="soon">on bill {{ $row->owed->onBill }} already</span>@endif
                        <x-why :field="$row->key()" />
                    </td>
                    <td class="n">
                        {{ $print->amount($row->quantity) }}
                        @if ($row->isBack())<div class="sub soon">went back, to be credited</div>@endif
                    </td>
                    <td class="n">
                        <x-field bare :name="$row->field('quantity')" :field="$row->key('quantity')" class="n"
                            :value="$row->quantity" inputmode="decimal" :label="'Billed of '.$row->owed->number" />
                    </td>
                    <td>
                        <x-field bare :name="$row->field('unit')" :field="$row->key('unit')" size="4"
                            :value="$row->unit" :label="'Unit of '.$row->owed->number" />
                    </td>
                    <td class="n">
                        <x-field bare :name="$row->field('price')" :field="$row->key('price')" class="n"
                            :value="$row->price" inputmode="decimal" :label="'Price of '.$row->owed->number" />
                    </td>
                    <td class="n">{{ $print->money($row->owed->cents) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
