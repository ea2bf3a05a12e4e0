<x-layout :title="$page->order ? 'Build '.$page->order->number : 'Build '.$page->item->number">
    <div class="head">
        <h1>
            <a href="{{ route('builds.index') }}">Builds</a> ·
            @if ($page->order)
                <a class="num" href="{{ route('orders.show', $page->order->id) }}">{{ $page->order->number }}</a>
            @else
                new
            @endif
        </h1>
        @if ($page->order)
            <x-state :state="$page->order->state" :held="$page->order->is_held" />
        @endif
        <span class="say">
            <strong>{{ $print->amount($page->asked) }} {{ $page->item->unit->code }}</strong>
            <a href="{{ route('stock.show', $page->item->id) }}">{{ $page->item->name }}</a> {{ $page->item->number }}
            @if ($page->received->isPositive())
                · {{ $print->amount($page->received) }} built, {{ $print->amount($page->left()) }} left
            @endif
            @if ($page->order && $page->order->reference !== '')
                · {{ $page->order->reference }}
            @endif
        </span>
        <span class="ms-auto d-flex gap-2">
            @if ($page->order)
                <a class="btn btn-quiet" href="{{ route('builds.paper', $page->order->id) }}">For the fitter</a>
            @endif
            @if ($page->canBeGivenUp())
                @can('change-order')
                    <x-form method="delete" :to="route('builds.destroy', $page->order->id)" key="rest" class="mb-0">
                        <input type="hidden" name="version" value="{{ $page->order->version }}">
                        <button class="btn btn-quiet">Give up the {{ $print->amount($page->left()) }} left</button>
                    </x-form>
                @endcan
            @endif
        </span>
    </div>
    @if ($page->goesOut())
        <div class="said not" role="alert">
            A step of it is done by a supplier: report it step by step, on
            <a href="{{ route('orders.show', $page->order->id) }}">its page</a>.
        </div>
    @elseif (! $page->isOpen())
        <div class="none">Nothing of it is left to build.</div>
    @else
        @include('builds.form')
    @endif
</x-layout>
