{{-- What a booking did to the dates, and what would help. --}}
<span>{{ $print->says($says) }}</span>
@if ($cures)
    @include('late.cures', ['page' => $cures])
    <a href="{{ route('late.show', $cures->order) }}">All that would help</a>
@endif
