{{-- What may stand in for an item, the first first. --}}
<table class="list typed level">
    <thead>
        <tr><th>Item</th><th>For one so many</th><th></th><th>Until</th><th></th></tr>
    </thead>
    <tbody data-grow>
        @foreach ($form->substitutes->rows as $at => $row)
            <tr>
                @foreach ($form->substituteFields() as $field => [$label, $size, $says])
                    <td>
                        @if ($field === 'q')<span class="sub">÷</span>@endif
                        <x-cell class="d-inline-block w-auto" :form="$form->substitutes" :at="$at" :field="$field"
                            :label="$label" :size="$size" maxlength="40" :placeholder="$says" />
                    </td>
                @endforeach
                <td></td>
            </tr>
        @endforeach
    </tbody>
</table>
