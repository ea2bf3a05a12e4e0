@props(['line'])
{{-- How a customer line is covered, in one phrase. --}}
<span class="{{ $line->tone() }}">{{ $line->coverSays() }}</span>
