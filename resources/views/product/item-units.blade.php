{{-- Other units an item is counted in, each by an exact ratio. --}}
<table class="list typed">
    <thead>
        <tr><th>One</th><th class="n">is</th><th></th><th class="n"></th><th>stock units</th></tr>
    </thead>
    <tbody data-grow>
        @foreach ($form->units->rows as $at => $row)
            <tr>
                <td>
                    <x-cell :form="$form->units" :at="$at" field="unit" label="Other unit" size="6" maxlength="12"
                        placeholder="unit" />
                </td>
                <td class="n">
                    <x-cell class="n few" :form="$form->units" :at="$at" field="p" label="Stock units"
                        inputmode="numeric" />
                </td>
                <td>÷</td>
                <td class="n">
                    <x-cell class="n few" :form="$form->units" :at="$at" field="q" label="Divided by"
                        inputmode="numeric" placeholder="1" />
                </td>
                <td></td>
            </tr>
        @endforeach
    </tbody>
</table>
<x-why field="units" />
