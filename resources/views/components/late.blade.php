@props(['minutes'])
{{-- How far ahead or behind its date, in open time; nothing where that is not known. --}}
@if ($minutes !== null)
    <span class="pace-words {{ $minutes > 0 ? 'behind notched' : '' }}">{{ $print->pace($minutes) }}</span>
@endif
