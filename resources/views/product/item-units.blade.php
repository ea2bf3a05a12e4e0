{{-- Other units an item is counted in, each by an exact ratio. --}}
<table class="list typed">
    <thead>
        <tr><th>One</th><th class="n">is</th><th></th><th class="n"></th><th>stock units</th></tr>
    </thead>
    <tbody data-grow>
        @foreach ($form->units->rows as $at => $row)
            <tr>
                <td>
                    <input @class(['form-control', 'is-wrong' => $form->units->isWrong($at, 'unit')])
                        name="{{ $form->units->name($at, 'unit') }}" value="{{ $row['unit'] }}" size="6" maxlength="12"
                        placeholder="unit" autocomplete="off" aria-label="Other unit">
                    <x-why :field="$form->units->key($at, 'unit')" />
                </td>
                <td class="n">
                    <input @class(['form-control n few', 'is-wrong' => $form->units->isWrong($at, 'p')])
                        name="{{ $form->units->name($at, 'p') }}" value="{{ $row['p'] }}" inputmode="numeric"
                        autocomplete="off" aria-label="Stock units">
                    <x-why :field="$form->units->key($at, 'p')" />
                </td>
                <td>÷</td>
                <td class="n">
                    <input @class(['form-control n few', 'is-wrong' => $form->units->isWrong($at, 'q')])
                        name="{{ $form->units->name($at, 'q') }}" value="{{ $row['q'] }}" inputmode="numeric"
                        placeholder="1" autocomplete="off" aria-label="Divided by">
                    <x-why :field="$form->units->key($at, 'q')" />
                </td>
                <td></td>
            </tr>
        @endforeach
    </tbody>
</table>
<x-why field="units" />
