{{-- A component of an order, with what is not as usual about it. --}}
<a href="{{ route('stock.show', $part->itemId) }}">{{ $part->item }}</a>
<span class="sub text-nowrap">{{ $part->itemNumber }}</span>
@if ($part->standsFor)
    <span class="tag soon">for {{ $part->standsFor }}</span>
@elseif ($part->isUnplanned())
    <span class="tag soon">not planned</span>
@endif
@if ($part->isBackflushed())
    <span class="tag" title="used by itself when its step is counted">backflush</span>
@endif
@if ($part->isCustomersOwn())
    <span class="tag">customer's own</span>
@endif
@if ($part->lots)
    <span class="sub">lots {{ $part->lots }}</span>
@endif
