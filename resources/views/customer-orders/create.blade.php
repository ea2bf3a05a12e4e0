<x-layout title="New customer order" :keys="['Enter' => 'next field; at the end a new row']">
    <form method="post" action="{{ route('customer-orders.store') }}">@csrf @token
        <div class="head"><h1>New customer order</h1><span class="say">Type an item's number or part of its name; Enter goes on, Ctrl Enter enters the order.</span></div>
        <div>
            <div class="field"><label for="customer_id">Customer</label><select class="form-select" id="customer_id" name="customer_id" autofocus>@foreach ($customers as $customer)<option value="{{ $customer->id }}" @selected(old('customer_id') == $customer->id)>{{ $customer->name }}</option>@endforeach</select><x-why field="customer_id" /></div>
            <div class="field"><label for="reference">Their reference</label><input class="form-control" id="reference" name="reference" value="{{ old('reference') }}" maxlength="60"><x-why field="reference" /></div>
            <div class="field"><label for="ship_to">Ship to, if not their address</label><input class="form-control" id="ship_to" name="ship_to" value="{{ old('ship_to') }}" size="34" maxlength="200"><x-why field="ship_to" /></div>
        </div>
        <datalist id="items" hx-get="{{ route('items.index') }}?q=" hx-trigger="load"></datalist>
        <table class="list">
            <thead><tr><th>Line</th><th>Item</th><th class="n">Quantity</th><th>Unit</th><th>Promise date</th><th class="n">Price, € per stock unit</th></tr></thead>
            <tbody data-grow>
            @foreach (array_values(old('lines', array_fill(0, 3, []))) as $n => $line)
                <tr>
                    <td class="sub" data-n>{{ $loop->iteration }}0</td>
                    <td><input @class(['form-control', 'is-wrong' => $errors->has("lines.$n.item")]) name="lines[{{ $n }}][item]" value="{{ $line['item'] ?? '' }}" list="items" size="26" aria-label="Item" autocomplete="off"><x-why field="lines.{{ $n }}.item" /></td>
                    <td class="n"><input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.$n.quantity")]) name="lines[{{ $n }}][quantity]" value="{{ $line['quantity'] ?? '' }}" inputmode="decimal" aria-label="Quantity"><x-why field="lines.{{ $n }}.quantity" /></td>
                    <td><input @class(['form-control', 'is-wrong' => $errors->has("lines.$n.unit")]) name="lines[{{ $n }}][unit]" value="{{ $line['unit'] ?? '' }}" size="4" placeholder="stock" aria-label="Unit"><x-why field="lines.{{ $n }}.unit" /></td>
                    <td><x-day bare worked :name="'lines['.$n.'][promised_on]'" :field="'lines.'.$n.'.promised_on'" label="Promise date" :value="$line['promised_on'] ?? $promise" /></td>
                    <td class="n"><input @class(['form-control n ms-auto', 'is-wrong' => $errors->has("lines.$n.price")]) name="lines[{{ $n }}][price]" value="{{ $line['price'] ?? '' }}" inputmode="decimal" placeholder="list" aria-label="Price"><x-why field="lines.{{ $n }}.price" /></td>
                </tr>
            @endforeach
            </tbody>
        </table>
        <div class="actions"><button class="btn btn-act">Enter this order</button> <a href="{{ route('customer-orders.index') }}">Leave without entering</a></div>
    </form>
</x-layout>
