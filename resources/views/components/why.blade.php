@props(['field'])
@error($field)<div class="why" id="why-{{ str_replace('.', '-', $field) }}">{{ $message }}</div>@enderror
