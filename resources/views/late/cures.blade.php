{{-- The best of what would help an order a booking made late; nothing where nothing does, or nobody can tell. --}}
<span id="cures"
    @if ($page->isUnderWay())
        hx-get="{{ route('late.cures', ['order' => $page->order, 'of' => $page->stamp]) }}" hx-trigger="every 700ms"
        hx-swap="outerHTML"
    @endif>
    @if ($page->isUnderWay())
        Trying what helps …
    @else
        @foreach ($page->cures() as $cure)
            @if ($loop->first)
                What helps:
            @endif
            {{ $print->says($cure->says) }} ({{ $cure->gainSays() }}){{ $loop->last ? '.' : ';' }}
        @endforeach
    @endif
</span>
