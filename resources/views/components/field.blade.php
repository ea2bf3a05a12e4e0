@props(['name', 'label', 'in' => null, 'value' => '', 'bare' => false])
{{-- One input with its label (or, bare, its name for those who do not see it), what was typed into its form, and what was wrong with it. --}}
@php($why = $in === null ? ($errors->first($name) ?: null) : $in->why($name))
@php($id = str_replace(['.', '[', ']'], '-', ($in->form ?? 'f').'-'.$name))
<div class="in">@unless ($bare)<label for="{{ $id }}">{{ $label }}</label>@endunless<input {{ $attributes->class(['form-control', 'is-wrong' => $why])->merge(['type' => 'text', 'autocomplete' => 'off']) }} id="{{ $id }}" name="{{ $name }}" value="{{ $in === null ? old($name, $value) : $in->value($name, $value) }}" @if ($bare) aria-label="{{ $label }}" @endif @if ($why) aria-invalid="true" aria-describedby="why-{{ $id }}" @endif>@if ($why)<div class="why" id="why-{{ $id }}">{{ $why }}</div>@endif</div>
