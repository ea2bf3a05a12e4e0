{{-- What customers pay for an item, by their level; without a level it is for all. --}}
<datalist id="levels">
    @foreach ($form->levels() as $level)<option value="{{ $level }}"></option>@endforeach
</datalist>
<table class="list typed level">
    <thead><tr><th>Price level</th><th>€ each: 5.00 10:4.50 50:3.75</th></tr></thead>
    <tbody data-grow>
        @foreach ($form->sold->rows as $at => $row)
            <tr>
                <td>
                    <x-cell :form="$form->sold" :at="$at" field="level" label="Price level" size="12" maxlength="20"
                        list="levels" placeholder="all" />
                </td>
                <td>
                    <x-cell :form="$form->sold" :at="$at" field="prices" label="Prices of this level" size="26"
                        maxlength="200" />
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
