{{-- What an order is, how it stands, and what can be done with it next. --}}
<div class="head">
    <h1>Order {{ $order->number }}</h1>
    <x-state :state="$order->state" :held="$order->isHeld" />
    <span class="say">
        <strong><x-amount :of="$order->quantity" :unit="$order->unit" /></strong>
        <a href="{{ route('stock.show', $order->itemId) }}">{{ $order->item }}</a>
        {{ $order->itemNumber }}{{ $page->revision ? ", structure {$page->revision}" : '' }}
        {{ $page->reference === '' ? '' : "· {$page->reference}" }}
        · due {{ $print->day($order->dueOn) }} · last booking {{ $print->ago($order->lastBooking) }}
    </span>
    <span class="ms-auto d-flex gap-2">
        @if ($order->state->isFirm())
            @can('release')
                <x-form :to="route('release.store')">
                    <input type="hidden" name="orders[]" value="{{ $order->id }}">
                    <button class="btn btn-act">Release</button>
                </x-form>
            @endcan
        @endif
        @if ($order->takesComponents())
            @can('issue')
                <a class="btn btn-quiet" href="{{ route('issue.index', ['orders' => [$order->id]]) }}">
                    Issue components
                </a>
            @endcan
        @endif
        @if ($order->canBeClosed())
            @can('close')
                <x-form :to="route('orders.close', $order->id)">
                    @if ($page->isWaitedFor())
                        <label class="align-self-center">
                            <input type="checkbox" name="nothing_more" value="1">
                            what is still to come is not waited for
                        </label>
                    @endif
                    <button class="btn btn-act">Close and settle the cost</button>
                </x-form>
            @endcan
        @endif
    </span>
</div>
<div class="mb-2" style="max-width:46rem">
    <x-pace :strip="$page->strip" :width="560" :late="$page->isOpen() ? $order->pace() : null" />
</div>
<div class="mb-2">
    @if ($page->isOpen())
        <x-readiness :of="$order->readiness" />
        @if ($order->finishAt)
            · planned to finish {{ $print->when($order->finishAt) }}
            (<a href="{{ route('late.show', $order->id) }}">why then</a>@if ($page->steps->isNotEmpty()),
            <a href="{{ route('board', ['order' => $order->number]) }}">on the board</a>@endif)
        @endif
    @endif
    @if ($order->isLoadedLate)
        · <span title="Its steps begin when they must for its date">loaded as late as its date allows</span>
    @endif
    @foreach ($page->ties as $tie)
        {{ $page->isOpen() || ! $loop->first ? '· ' : '' }}for
        <a href="{{ route('customer-orders.show', $tie->customerOrderId) }}">{{ $tie->line() }}</a>
        {{ $tie->customer }}
        @if ($tie->quantity->isPositive())
            ({{ $print->amount($tie->quantity) }} promised for {{ $print->day($tie->promisedOn) }}{{
                $page->shareOf($tie) === null ? '' : ', '.$print->money($page->shareOf($tie)).' € of its cost' }})
            @if ($page->isCombined())
                @can('change-order')
                    <x-form method="delete" :to="route('combine.destroy', $tie->id)" :key="'share-'.$tie->id"
                        class="d-inline">
                        <button class="btn btn-quiet btn-small"
                            title="Made as an order of its own again">take out</button>
                    </x-form>
                @endcan
            @endif
        @endif
    @endforeach
    @if ($page->followsLine)
        · <span title="Its quantity and day are those of the line">built as it is shipped</span>
    @endif
    @if ($page->isForTheShelf())
        {{ $page->isOpen() ? '· ' : '' }}for the shelf
    @endif
    @foreach ($page->related as $other)
        · {{ $other->says() }} <a href="{{ route('orders.show', $other->id) }}">{{ $other->number }}</a>
        {{ $other->item }}, {{ $other->state }}
    @endforeach
    @if ($page->orderBy)
        ·
        <span @class(['behind notched' => $page->isTooLate, 'soon' => ! $page->isTooLate])>{{ $page->orderBy }}</span>
    @endif
    @if ($order->shortReason)
        · <span class="soon">released short: {{ $order->shortReason }}</span>
    @endif
</div>
@if ($page->newer !== [])
    <div class="said note d-flex align-items-center gap-2" role="status">
        <span>{{ $page->newerSays() }}; this order is a copy of what was before.</span>
        @can('change-order')
            <x-form class="mb-0" :to="route('orders.copy', $order->id)" key="copy">
                <input type="hidden" name="version" value="{{ $order->version }}">
                <button class="btn btn-quiet btn-small" title="What was added or changed by hand stays">
                    Copy it anew
                </button>
            </x-form>
        @endcan
    </div>
@endif
