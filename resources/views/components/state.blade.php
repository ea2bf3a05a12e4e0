@props(['state', 'held' => false])
<span class="tag {{ $held ? 'held' : $state }}">{{ $held ? 'held' : $state }}</span>
