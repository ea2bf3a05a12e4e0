{{-- Lines that are typed down: quantity, price and day of each. --}}
<div class="wide">
    <table class="list typed level">
        <thead>
            <tr>
                <th>Line</th>
                <th>Item</th>
                <th class="n">Quantity</th>
                <th>Unit</th>
                <th class="n">€ a stock unit</th>
                <th>{{ $day }}</th>
                <th class="n">€</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->lines as $line)
                @if ($page->isOpen($line))
                    <tr @class(['wrong' => $errors->has("lines.{$line->id}")])>
                        <td class="num tight">{{ $line->number }}</td>
                        <td>
                            @include('purchases.line-item')
                            @include('purchases.for')
                            <x-why :field="'lines.'.$line->id" />
                        </td>
                        <td class="n">
                            <x-field bare :name="$line->field('quantity')" :field="$line->key('quantity')" class="n"
                                :value="$line->typed()" inputmode="decimal" :label="'Quantity of '.$line->number" />
                        </td>
                        <td>{{ $line->typedUnit }} <span class="sub">{{ $line->inStock() }}</span></td>
                        <td class="n">
                            <x-field bare :name="$line->field('price')" :field="$line->key('price')" class="n"
                                :value="$print->amount($line->price)" inputmode="decimal"
                                :label="'Price of '.$line->number" />
                        </td>
                        <td>
                            <x-day bare worked :name="$line->field('on')" :field="$line->key('on')"
                                :value="$line->expectedOn" :label="$day.' of '.$line->number" />
                        </td>
                        <td class="n">{{ $print->money($line->cents()) }}</td>
                    </tr>
                @endif
            @endforeach
        </tbody>
    </table>
</div>
