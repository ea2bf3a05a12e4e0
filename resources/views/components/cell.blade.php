@props(['form', 'at', 'field', 'label'])
{{-- A field of a row that is typed, with what is wrong of it. Lists of thousands have it as plain markup. --}}
<input {{ $attributes->class(['form-control', 'is-wrong' => $form->isWrong($at, $field)]) }}
    name="{{ $form->name($at, $field) }}" value="{{ $form->value($at, $field) }}" autocomplete="off"
    aria-label="{{ $label }}">
<x-why :field="$form->key($at, $field)" />
