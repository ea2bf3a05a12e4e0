@props(['form', 'at', 'field', 'label', 'none'])
{{-- A choice in a row that is typed. --}}
<select {{ $attributes->class(['form-select', 'is-wrong' => $form->isWrong($at, $field)]) }}
    name="{{ $form->name($at, $field) }}" aria-label="{{ $label }}">
    <option value="">{{ $none }}</option>
    @foreach ($form->choices[$field] as $value => $says)
        <option value="{{ $value }}" @selected($form->value($at, $field) == $value)>{{ $says }}</option>
    @endforeach
</select>
<x-why :field="$form->key($at, $field)" />
