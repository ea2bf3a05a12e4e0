{{-- One of a short list; what has no id yet is a new one. --}}
<tr>
    <td class="tight">
        @foreach (['id', 'version'] as $field)
            <input type="hidden" name="{{ $list->form->name($at, $field) }}" value="{{ $row[$field] }}">
        @endforeach
        @if ($row['id'] === '')
            <input @class(['form-control num', 'is-wrong' => $list->form->isWrong($at, 'code')])
                name="{{ $list->form->name($at, 'code') }}" value="{{ $row['code'] }}" size="12" maxlength="20"
                autocomplete="off" aria-label="Code" @cannot('set-up') disabled @endcannot>
        @else
            <span class="num">{{ $row['code'] }}</span>
            <input type="hidden" name="{{ $list->form->name($at, 'code') }}" value="{{ $row['code'] }}">
        @endif
        <x-why :field="$list->form->key($at, 'code')" />
    </td>
    @foreach ($list->fields as $field => [$label, $size, $most, $mode])
        <td>
            @isset ($list->choices[$field])
                <select @class(['form-select', 'is-wrong' => $list->form->isWrong($at, $field)])
                    name="{{ $list->form->name($at, $field) }}"
                    aria-label="{{ $label }} of {{ $row['code'] === '' ? 'a new one' : $row['code'] }}"
                    @cannot('set-up') disabled @endcannot>
                    <option value="">choose</option>
                    @foreach ($list->choices[$field] as $value => $says)
                        <option value="{{ $value }}" @selected($row[$field] == $value)>{{ $says }}</option>
                    @endforeach
                </select>
            @else
                <input @class(['form-control', 'is-wrong' => $list->form->isWrong($at, $field)])
                    name="{{ $list->form->name($at, $field) }}" value="{{ $row[$field] }}" size="{{ $size }}"
                    maxlength="{{ $most }}" inputmode="{{ $mode }}" autocomplete="off"
                    aria-label="{{ $label }} of {{ $row['code'] === '' ? 'a new one' : $row['code'] }}"
                    @cannot('set-up') disabled @endcannot>
            @endisset
            <x-why :field="$list->form->key($at, $field)" />
        </td>
    @endforeach
    @if ($list->retired)
        <td>
            <label class="d-inline">
                <input type="checkbox" name="{{ $list->form->name($at, 'is_retired') }}" value="1"
                    @checked($row['is_retired'] === '1') @cannot('set-up') disabled @endcannot>
                {{ $list->retired }}
            </label>
            <x-why :field="$list->form->key($at, 'is_retired')" />
        </td>
    @endif
    <td class="n">{{ $print->some($row['uses']) }}</td>
</tr>
