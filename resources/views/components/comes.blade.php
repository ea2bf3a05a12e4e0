@props(['to', 'days', 'form'])
{{-- When something comes, in one touch: a day that is likely, or nobody knows. --}}
@can('purchase')
    <x-form class="d-inline-flex flex-wrap gap-1 mb-0" method="put" :key="$form" :to="$to">
        @foreach ($days as $day)
            <button class="btn btn-quiet btn-small" name="touch" value="{{ $day }}">{{ $print->day($day) }}</button>
        @endforeach
        <button class="btn btn-quiet btn-small" name="touch" value="unknown">not known</button>
        <x-why field="expected_on" />
    </x-form>
@endcan
