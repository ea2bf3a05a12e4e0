@props(['row'])
{{-- What keeps stock from being simply ours and good. --}}
@unless ($row->isFree()){{ $row->condition->label() }}@endunless
@if ($row->owner)<span class="tag outside">{{ $row->owner }}'s own</span>@endif
@if ($row->expiresOn)
    <span @class(['sub', 'behind' => $row->isExpired])>until {{ $print->day($row->expiresOn) }}</span>
@endif
