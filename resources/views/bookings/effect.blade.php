{{-- What a booking did to the dates, and what would help. --}}
<span>{{ $print->says($says) }}</span>
@foreach ($effect->cures() as $cure)
    @if ($loop->first)
        <span>What helps:</span>
    @endif
    <span>{{ $print->says($cure->says) }} ({{ $cure->gainSays() }}){{ $loop->last ? '.' : ';' }}</span>
@endforeach
@if ($effect->worst)
    <a href="{{ route('late.show', $effect->worst) }}">All that would help</a>
@endif
