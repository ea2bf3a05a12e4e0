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
                        <input @class(['form-control d-inline-block w-auto',
                            'is-wrong' => $form->substitutes->isWrong($at, $field)])
                            name="{{ $form->substitutes->name($at, $field) }}" value="{{ $row[$field] }}"
                            size="{{ $size }}" maxlength="40" placeholder="{{ $says }}" autocomplete="off"
                            aria-label="{{ $label }}">
                        <x-why :field="$form->substitutes->key($at, $field)" />
                    </td>
                @endforeach
                <td></td>
            </tr>
        @endforeach
    </tbody>
</table>
