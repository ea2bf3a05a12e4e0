@props(['steps', 'form'])
{{-- Orders the work of steps of their supplier, in one touch. --}}
<x-form class="d-inline mb-0" :key="$form" :to="route('work.store')">
    @foreach ($steps as $step)
        <input type="hidden" name="steps[]" value="{{ $step }}">
    @endforeach
    <button class="btn btn-quiet btn-small">{{ $slot }}</button>
</x-form>
