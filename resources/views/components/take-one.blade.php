@props(['kinds', 'field', 'id'])
{{-- One of product data out as a file. --}}
<x-form class="actions" :to="route('take-out.store')" key="take-out" data-whole>
    <input type="hidden" name="{{ $field }}" value="{{ $id }}">
    @foreach ($kinds as $kind)<input type="hidden" name="kinds[]" value="{{ $kind }}">@endforeach
    <span class="sub">As a file:</span>
    <button class="btn btn-quiet btn-small" name="format" value="csv">CSV</button>
    <button class="btn btn-quiet btn-small" name="format" value="json">JSON</button>
</x-form>
