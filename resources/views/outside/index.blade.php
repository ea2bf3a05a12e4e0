<x-layout title="At suppliers" data-plan>
    <div class="head">
        <h1>At suppliers</h1>
        <span class="say">
            {{ $page->says() }} {{ $page->all->says() }}
            @if ($page->all->rows->isNotEmpty() && $print->seesMoney())
                They are worth {{ $print->money($page->cents()) }} €, part of what is in orders.
            @endif
        </span>
        <span class="ms-auto"></span>
        <nav class="pick" aria-label="Put together by">
            @foreach ($page::BY as $by)
                <a href="{{ route('at-suppliers.index', ['by' => $by]) }}"
                    @if ($page->by === $by) aria-current="true" @endif>by {{ $by }}</a>
            @endforeach
        </nav>
        <a href="{{ route('send-outs.index') }}">Send out</a>
    </div>
    @if ($page->isEmpty())
        <div class="none">Nothing is outside.</div>
    @endif
    @foreach ($page->groups() as $name => $rows)
        <h2>{{ $name }}</h2>
        @include('outside.there')
    @endforeach
    @if ($page->parts->isNotEmpty() || $page->components->isNotEmpty())
        <h2>
            Parts of ours, stock
            @can('see-money')
                there: {{ $print->money($page->centsOfParts()) }} €
            @endcan
        </h2>
    @endif
    @if ($page->components->isNotEmpty())
        @include('outside.components')
    @endif
    @if ($page->parts->isNotEmpty())
        @include('outside.parts')
    @endif
    <x-reasons for="scrap" />
</x-layout>
