@props(['minutes'])
<span class="pace-words {{ $minutes > 0 ? 'behind notched' : '' }}">{{ $print->pace((int) $minutes) }}</span>
