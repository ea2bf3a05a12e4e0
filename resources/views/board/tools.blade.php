{{-- What of the plan is seen, and how far. --}}
<div class="filters board-tools">
    <nav class="pick" aria-label="Zoom">
        @foreach ($board->zooms() as $zoom => $says)
            <a href="?zoom={{ $zoom }}" data-zoom="{{ $zoom }}">{{ $says }}</a>
        @endforeach
        <a href="?" data-today>now</a>
    </nav>
    <select class="form-select" data-board="by" aria-label="Rows">
        <option value="centre">by work centre</option>
        <option value="order" @selected(request('by') === 'order')>by order</option>
        <option value="load" @selected(request('by') === 'load')>load alone</option>
    </select>
    <select class="form-select" data-board="load" aria-label="Load">
        <option value="planned">load as planned</option>
        <option value="wanted" @selected(request('load') === 'wanted')>load as wanted, no limit</option>
    </select>
    <input class="form-control" type="search" size="9" data-board="order" value="{{ request('order') }}"
        placeholder="Order" aria-label="Find an order on the board">
    <select class="form-select" data-board="customer" aria-label="Customer">
        <option value="">all customers</option>
        @foreach ($board->customers() as $one)
            <option @selected(request('customer') === $one)>{{ $one }}</option>
        @endforeach
    </select>
    <select class="form-select" data-board="item" aria-label="Item">
        <option value="">all items</option>
        @foreach ($board->items() as $one)
            <option @selected(request('item') === $one)>{{ $one }}</option>
        @endforeach
    </select>
    @if ($board->families()->isNotEmpty())
        <select class="form-select" data-board="family" aria-label="Setup family">
            <option value="">all families</option>
            @foreach ($board->families() as $one)
                <option @selected(request('family') === $one)>{{ $one }}</option>
            @endforeach
        </select>
    @endif
    <label class="d-inline">
        <input type="checkbox" data-board="late" @checked(request('late') === '1')> only late
    </label>
    <label class="d-inline">
        <input type="checkbox" data-board="fold" @checked(request('fold') !== '0')> fold nights
    </label>
</div>
