<p class="lead">
    @if ($items->isEmpty())
        Nothing is short that is not on its way.
    @else
        <a href="#short">{{ $print->count($items->count(), 'item is', 'items are') }} short</a>
        for {{ $print->count($list->orderCount(), 'order', 'orders') }};
        the first, {{ Str::lcfirst($items[0]->name) }}, {{ $items[0]->orderBySays() }}.
    @endif
    @if ($list->waiting->isNotEmpty())
        <a href="#late" class="soon">
            {{ $print->count($list->waiting->count(), 'part comes', 'parts come') }} too late</a> for their orders.
    @endif
    @if ($list->released->isNotEmpty())
        <a href="#released" class="behind">
            {{ $print->count($list->releasedCount(), 'order was', 'orders were') }} released short</a>.
    @endif
</p>
