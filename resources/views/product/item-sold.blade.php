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
                    <input @class(['form-control', 'is-wrong' => $form->sold->isWrong($at, 'level')])
                        name="{{ $form->sold->name($at, 'level') }}" value="{{ $row['level'] }}" size="12"
                        maxlength="20" list="levels" placeholder="all" autocomplete="off" aria-label="Price level">
                    <x-why :field="$form->sold->key($at, 'level')" />
                </td>
                <td>
                    <input @class(['form-control', 'is-wrong' => $form->sold->isWrong($at, 'prices')])
                        name="{{ $form->sold->name($at, 'prices') }}" value="{{ $row['prices'] }}" size="26"
                        maxlength="200" autocomplete="off" aria-label="Prices of this level">
                    <x-why :field="$form->sold->key($at, 'prices')" />
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
