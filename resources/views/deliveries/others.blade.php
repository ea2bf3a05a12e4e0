{{-- What came that nobody ordered, or another item than was ordered. --}}
<x-more class="mt-2" summary="Something came that is on no line" :open="$errors->has('other.*')">
    <datalist id="items" hx-get="{{ route('items.choose') }}?q="
        hx-trigger="toggle from:closest details once"></datalist>
    <div class="wide">
        <table class="list typed level">
            <thead>
                <tr>
                    <th>Item</th>
                    <th class="n">Came</th>
                    <th>Unit</th>
                    <th class="n">€ a stock unit</th>
                    <th>Lot, or serials one a line</th>
                    <th>Supplier's lot</th>
                    <th>Good until</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sheet->others() as $i)
                    <tr @class(['wrong' => $errors->has("other.{$i}")])>
                        <td>
                            <x-field bare :name="'other['.$i.'][item]'" :field="'other.'.$i.'.item'" list="items"
                                label="Item that came" />
                            <x-why :field="'other.'.$i" />
                        </td>
                        <td class="n">
                            <x-field bare :name="'other['.$i.'][quantity]'" :field="'other.'.$i.'.quantity'" class="n"
                                inputmode="decimal" label="How much of it came" />
                        </td>
                        <td>
                            <x-field bare :name="'other['.$i.'][unit]'" :field="'other.'.$i.'.unit'" size="4"
                                placeholder="stock" label="Its unit" />
                        </td>
                        <td class="n">
                            <x-field bare :name="'other['.$i.'][price]'" :field="'other.'.$i.'.price'" class="n"
                                inputmode="decimal" placeholder="its cost" label="Its price" />
                        </td>
                        <td>
                            <textarea class="form-control" rows="1" name="other[{{ $i }}][codes]"
                                aria-label="Its lots or serials">{{ old("other.{$i}.codes") }}</textarea>
                        </td>
                        <td>
                            <x-field bare :name="'other['.$i.'][supplier_lot]'" :field="'other.'.$i.'.supplier_lot'"
                                size="8" maxlength="60" label="The supplier's lot of it" />
                        </td>
                        <td>
                            <x-day bare :name="'other['.$i.'][expires_on]'" :field="'other.'.$i.'.expires_on'"
                                placeholder="" label="It is good until" />
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
</x-more>
