@php($may = auth()->user()->can('plan'))
@php($live = $data['plan']['live'])
@php($late = count(array_filter($data['orders'], fn ($o) => $o['late'] > 0)))
@php($choices = fn (string $what) => collect($data['orders'])->pluck($what)->filter()->unique()->sort()->values())
@php($families = collect($data['bars'])->pluck(12)->filter()->unique()->sort()->values())
<x-layout title="{{ $live ? 'Board' : $data['plan']['name'] }}" class="wide" :keys="['← → ↑ ↓' => 'from step to step', 'm' => 'move the step: arrows, then Enter to keep, Esc to put back', 'p' => 'pin it, or take the pin out', 'u r' => 'undo, redo', 'w' => 'why is it late', '+ −' => 'zoom', 'h' => 'to now']">
    <div class="head">
        <h1>{{ $live ? 'Board' : 'What if: '.$data['plan']['name'] }}</h1>
        <a href="{{ route('late.index') }}" class="{{ $late > 0 ? 'behind' : '' }}">{{ $late === 0 ? 'No order is late' : ($late === 1 ? '1 order will miss its date' : "{$late} orders will miss their date") }}</a>
        <span class="say" id="board-when">{{ $print->says($news->when) }}</span><span id="board-news"></span>
        @if ($news->effect !== '')<span class="soon">{{ $news->effect }}</span>@endif
    </div>
    @unless ($live)<p class="said note">{{ auth()->user()->can('plan') ? 'Nothing here counts until it goes live.' : '' }} <a href="{{ route('plans.show', $data['plan']['id']) }}">Compare with the live plan</a></p>@endunless
    <div class="filters board-tools">
        <nav class="pick" aria-label="Zoom">@foreach (['hours' => 'hours', 'days' => '2 days', 'week' => 'week', 'fortnight' => '2 weeks', 'month' => 'month', 'quarter' => 'quarter'] as $name => $word)<a href="?zoom={{ $name }}" data-zoom="{{ $name }}">{{ $word }}</a>@endforeach<a href="?" data-today>now</a></nav>
        <select class="form-select" data-board="by" aria-label="Rows"><option value="centre">by work centre</option><option value="order" @selected(request('by') === 'order')>by order</option></select>
        <select class="form-select" data-board="load" aria-label="Load"><option value="planned">load as planned</option><option value="wanted" @selected(request('load') === 'wanted')>load as wanted, no limit</option></select>
        <input class="form-control" type="search" size="9" data-board="order" value="{{ request('order') }}" placeholder="Order" aria-label="Find an order on the board">
        <select class="form-select" data-board="customer" aria-label="Customer"><option value="">all customers</option>@foreach ($choices('customer') as $one)<option @selected(request('customer') === $one)>{{ $one }}</option>@endforeach</select>
        <select class="form-select" data-board="item" aria-label="Item"><option value="">all items</option>@foreach ($choices('item') as $one)<option @selected(request('item') === $one)>{{ $one }}</option>@endforeach</select>
        @if ($families->isNotEmpty())<select class="form-select" data-board="family" aria-label="Setup family"><option value="">all families</option>@foreach ($families as $one)<option @selected(request('family') === $one)>{{ $one }}</option>@endforeach</select>@endif
        <label class="d-inline"><input type="checkbox" data-board="late" @checked(request('late') === '1')> only late</label>
    </div>
    <div class="board-panel" id="board-panel" data-empty="{{ $may ? 'Drag a step to see what moving it would do; nothing is kept until you say so. Click one to see what it hangs on.' : 'Click a step to see what it hangs on.' }}"></div>
    <div id="board-says"></div>
    <div class="board" id="board" tabindex="0" role="application" aria-label="The plan. Arrow keys go from step to step; the same is on the dispatch lists as tables." data-may="{{ $may ? 1 : 0 }}" data-csrf="{{ csrf_token() }}" data-orders="/orders" data-late="/late" data-dispatch="/dispatch" data-move="/board/steps" data-plan="{{ route('board.data') }}" data-preview="{{ route('board.preview') }}" data-news="{{ route('board.news') }}">
        <div class="scroller"><div class="field"><div class="corner"></div><div class="labels"></div><canvas aria-hidden="true"></canvas><svg class="over" aria-hidden="true"></svg></div></div>
    </div>
    <div class="visually-hidden" aria-live="polite" id="board-live"></div>
    <noscript><p class="none">The board is drawn by script. The plan as tables: <a href="{{ route('dispatch.index') }}">dispatch lists</a>.</p></noscript>
    @if ($data['bars'] === [])<p class="none">Nothing is planned: no open order has a step left. <a href="{{ route('orders.index') }}">Orders</a></p>@endif
    <div class="actions">
        @if ($may)
            <form method="post" action="{{ route('board.undo') }}" id="board-undo">@csrf @token<input type="hidden" name="plan" value="{{ $data['plan']['id'] }}"><button class="btn btn-quiet btn-small" @disabled($news->undo === null) title="{{ $news->undo ?? 'Nothing to undo' }}">Undo{{ $news->undo === null ? '' : ': '.mb_strimwidth($news->undo, 0, 60, '…') }}</button></form>
            <form method="post" action="{{ route('board.redo') }}" id="board-redo">@csrf @token<input type="hidden" name="plan" value="{{ $data['plan']['id'] }}"><button class="btn btn-quiet btn-small" @disabled($news->redo === null) title="{{ $news->redo ?? 'Nothing to do again' }}">Do again{{ $news->redo === null ? '' : ': '.mb_strimwidth($news->redo, 0, 50, '…') }}</button></form>
            @if ($live)
                <a class="btn btn-quiet btn-small" href="{{ route('plans.index') }}">Search a better plan, what-ifs</a>
                <a class="btn btn-quiet btn-small" href="{{ route('absence.index') }}">Machine down, person away</a>
                <form method="post" action="{{ route('board.by-rank') }}">@csrf @token<button class="btn btn-quiet btn-small" title="Gives up the sequence of every machine">Load anew by rank</button></form>
            @endif
        @endif
        <span class="sub ms-auto">Filled: running. Tinted: released. White: firm. Striped front: setup. Notched copper: will miss its date. Dashed: at a supplier. Hatched: closed.</span>
    </div>
    <script type="application/json" id="board-data">@json($data)</script>
</x-layout>
