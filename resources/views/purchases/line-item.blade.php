{{-- What a purchase line is for: goods, or work on pieces of an order. --}}
@if ($line->isWork)
    {{ $line->item }} <span class="sub">{{ $line->termsSay() }}</span>
@else
    <a href="{{ route('stock.show', $line->itemId) }}">{{ $line->item }}</a>
    <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
@endif
