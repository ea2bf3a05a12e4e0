@props(['minutes'])
<span class="pace-words {{ $minutes > 0 ? 'behind notched' : '' }}">{{ \App\Wording\Figures::pace((int) $minutes) }}</span>
