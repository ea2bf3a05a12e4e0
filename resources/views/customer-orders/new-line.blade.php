{{-- One line of a new customer order; the script copies the last when it is filled. --}}
<tr>
    <td class="sub" data-n>{{ $loop->iteration }}0</td>
    <td>
        <input @class(['form-control', 'is-wrong' => $errors->has("lines.{$n}.item")]) name="lines[{{ $n }}][item]"
            value="{{ $line['item'] ?? '' }}" list="items" size="26" aria-label="Item" autocomplete="off">
        <x-why field="lines.{{ $n }}.item" />
    </td>
    <td class="n">
        <input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.{$n}.quantity")])
            name="lines[{{ $n }}][quantity]" value="{{ $line['quantity'] ?? '' }}" inputmode="decimal"
            aria-label="Quantity">
        <x-why field="lines.{{ $n }}.quantity" />
    </td>
    <td>
        <input @class(['form-control', 'is-wrong' => $errors->has("lines.{$n}.unit")]) name="lines[{{ $n }}][unit]"
            value="{{ $line['unit'] ?? '' }}" size="4" placeholder="stock" aria-label="Unit">
        <x-why field="lines.{{ $n }}.unit" />
    </td>
    <td>
        <x-day bare worked :name="'lines['.$n.'][promised_on]'" :field="'lines.'.$n.'.promised_on'"
            label="Promise date" :value="$line['promised_on'] ?? $promise" />
    </td>
    <td class="n">
        <input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.{$n}.price")])
            name="lines[{{ $n }}][price]" value="{{ $line['price'] ?? '' }}" inputmode="decimal" placeholder="list"
            aria-label="Price">
        <x-why field="lines.{{ $n }}.price" />
    </td>
</tr>
