@props(['strip', 'late' => null, 'words' => true, 'width' => 180])
{{-- Drawn as few shapes: a list holds a hundred of these. --}}
<div class="pace-row">
    <svg class="pace" viewBox="0 0 {{ $width }} 15" preserveAspectRatio="none" role="img"
        aria-label="{{ $strip->title() }}">
        <title>{{ $strip->title() }}</title>
        @foreach ($strip->shapes($width) as $class => $path)
            <path class="{{ $class }}" d="{{ $path }}"/>
        @endforeach
    </svg>
    @if ($words)
        <x-late :minutes="$late" />
    @endif
</div>
