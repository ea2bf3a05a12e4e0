{{-- Whom to ask for, one a row. --}}
<x-asked :says="$form->help('contacts')">
    <table class="list typed">
        <thead><tr><th>Name</th><th>Asked about</th><th>Telephones</th><th>Mails</th></tr></thead>
        <tbody data-grow>
            @foreach ($form->contacts->rows as $at => $row)
                <tr>
                    @foreach ($form->contactFields() as $field => [$label, $size, $most])
                        <td>
                            <input @class(['form-control', 'is-wrong' => $form->contacts->isWrong($at, $field)])
                                name="{{ $form->contacts->name($at, $field) }}" value="{{ $row[$field] }}"
                                size="{{ $size }}" maxlength="{{ $most }}" autocomplete="off"
                                aria-label="{{ $label }}">
                            <x-why :field="$form->contacts->key($at, $field)" />
                        </td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-asked>
