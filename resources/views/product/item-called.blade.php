{{-- What customers call an item. --}}
<table class="list typed level">
    <thead><tr><th>Customer</th><th>Calls it</th></tr></thead>
    <tbody data-grow>
        @foreach ($form->called->rows as $at => $row)
            <tr>
                <td>
                    <select @class(['form-select', 'is-wrong' => $form->called->isWrong($at, 'customer')])
                        name="{{ $form->called->name($at, 'customer') }}" aria-label="Customer">
                        <option value="">nobody</option>
                        @foreach ($form->called->choices['customer'] as $id => $name)
                            <option value="{{ $id }}" @selected($row['customer'] == $id)>{{ $name }}</option>
                        @endforeach
                    </select>
                    <x-why :field="$form->called->key($at, 'customer')" />
                </td>
                <td>
                    <input @class(['form-control', 'is-wrong' => $form->called->isWrong($at, 'number')])
                        name="{{ $form->called->name($at, 'number') }}" value="{{ $row['number'] }}" size="18"
                        maxlength="60" autocomplete="off" aria-label="Number the customer uses">
                    <x-why :field="$form->called->key($at, 'number')" />
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
