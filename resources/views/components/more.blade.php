@props(['summary', 'open' => false])
{{-- What is asked for with one touch. --}}
<details {{ $attributes->class('more') }} @if ($open) open @endif>
    <summary>{{ $summary }}</summary>
    {{ $slot }}
</details>
