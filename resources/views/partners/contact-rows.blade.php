{{-- Whom to ask for, one a row. --}}
<x-asked :says="$form->help('contacts')">
    <table class="list typed">
        <thead><tr><th>Name</th><th>Asked about</th><th>Telephones</th><th>Mails</th></tr></thead>
        <tbody data-grow>
            @foreach ($form->contacts->rows as $at => $row)
                <tr>
                    @foreach ($form->contactFields() as $field => [$label, $size, $most])
                        <td>
                            <x-cell :form="$form->contacts" :at="$at" :field="$field" :label="$label" :size="$size"
                                :maxlength="$most" />
                        </td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-asked>
