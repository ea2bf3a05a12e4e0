<x-layout title="Shortages" data-plan>
    @include('shortages.lead')
    <nav class="pick mb-2" aria-label="Grouped">
        <a href="{{ route('shortages.index') }}" @if ($by === 'item') aria-current="true" @endif>by item</a>
        <a href="{{ route('shortages.index', ['by' => 'order']) }}"
            @if ($by === 'order') aria-current="true" @endif>by order</a>
    </nav>
    @if ($items->isNotEmpty())
        @include($by === 'item' ? 'shortages.by-item' : 'shortages.by-order')
        @if ($shown->says() !== '')
            <p>
                The {{ $shown->says() }}, by when they have to be ordered:
                <a href="{{ route('shortages.index', ['by' => $by, 'all' => 1]) }}">show all</a>
            </p>
        @endif
    @endif
    @if ($list->waiting->isNotEmpty())
        <h2 id="late">Coming, but too late</h2>
        @include('shortages.late')
    @endif
    @if ($list->released->isNotEmpty())
        <h2 id="released">Released short, not issued yet</h2>
        @include('shortages.released')
    @endif
</x-layout>
