@props(['of'])
{{-- A component of an order, with what is not as usual about it. --}}
<a href="{{ route('stock.show', $of->itemId) }}">{{ $of->item }}</a> <span class="sub">{{ $of->itemNumber }}</span>
@if ($of->standsFor)
    <span class="tag soon">for {{ $of->standsFor }}</span>
@elseif ($of->isUnplanned())
    <span class="tag soon">not planned</span>
@endif
@if ($of->isBackflushed())
    <span class="tag" title="used by itself when its step is counted">backflush</span>
@endif
@if ($of->isCustomersOwn())
    <span class="tag">customer's own</span>
@endif
@if ($of->lots)
    <span class="sub">lots {{ $of->lots }}</span>
@endif
