@props(['of'])
@if ($of->state !== null)
    <span class="{{ $of->tone() }}" title="{{ $of->says() }}">{{ $of->says() }}</span>
@endif
