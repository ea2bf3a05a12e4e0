{{-- What customers call an item. --}}
<table class="list typed level">
    <thead><tr><th>Customer</th><th>Calls it</th></tr></thead>
    <tbody data-grow>
        @foreach ($form->called->rows as $at => $row)
            <tr>
                <td><x-pick-cell :form="$form->called" :at="$at" field="customer" label="Customer" none="nobody" /></td>
                <td>
                    <x-cell :form="$form->called" :at="$at" field="number" label="Number the customer uses" size="18"
                        maxlength="60" />
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
