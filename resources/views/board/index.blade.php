<x-layout :title="$board->isLive() ? 'Board' : $board->name()" class="wide" :keys="$board->keys()">
    <div class="head">
        <h1>{{ $board->isLive() ? 'Board' : 'What if: '.$board->name() }}</h1>
        <a href="{{ route('late.index') }}" @class(['behind' => $board->lateCount() > 0])>
            {{ $board->lateSays() }}</a>
        <span class="say" id="board-when">{{ $print->says($news->when) }}</span><span id="board-news"></span>
        @if ($news->effect !== '')
            <span class="soon">{{ $news->effect }}</span>
        @endif
    </div>
    @unless ($board->isLive())
        <p class="said note">
            @can('plan')
                Nothing here counts until it goes live.
            @endcan
            <a href="{{ route('plans.show', $board->planId()) }}">Compare with the live plan</a>
            <label class="d-inline">
                <input type="checkbox" data-board="moved" @checked(request('moved') === '1')> only what moves
            </label>
        </p>
    @endunless
    @include('board.tools')
    <div class="board-panel" id="board-panel" data-empty="{{ $mayPlan
        ? 'Drag a step to see what moving it would do; nothing is kept until you say so. '
            .'Click one to see what it hangs on.'
        : 'Click a step to see what it hangs on.' }}"></div>
    <div id="board-says"></div>
    <div class="board" id="board" tabindex="0" role="application"
        aria-label="The plan. Arrow keys go from step to step; the same is on the dispatch lists as tables."
        data-may="{{ $mayPlan ? 1 : 0 }}" data-csrf="{{ csrf_token() }}" data-orders="/orders" data-late="/late"
        data-threads="/board/threads"
        data-asks="{{ Gate::allows('purchase') ? 1 : 0 }}" data-back="/consignment-lines"
        data-dispatch="/dispatch" data-move="/board/steps" data-plan="{{ route('board.data') }}"
        data-preview="{{ route('board.preview') }}" data-news="{{ route('board.news') }}">
        <div class="board-threads" id="board-threads" tabindex="-1" hidden></div>
        <div class="scroller">
            <div class="field">
                <div class="corner"></div>
                <div class="labels"></div>
                <canvas aria-hidden="true"></canvas>
                <svg class="over" aria-hidden="true"></svg>
            </div>
        </div>
    </div>
    <div class="visually-hidden" aria-live="polite" id="board-live"></div>
    <noscript>
        <p class="none">
            The board is drawn by script. The plan as tables:
            <a href="{{ route('dispatch.index') }}">dispatch lists</a>.
        </p>
    </noscript>
    @if ($board->isEmpty())
        <p class="none">
            Nothing is planned: no open order has a step left. <a href="{{ route('orders.index') }}">Orders</a>
        </p>
    @endif
    <div class="actions">
        @if ($mayPlan)
            @include('board.deeds')
        @endif
        <span class="ms-auto">
            On A3, from what is in view:
            @foreach (['day' => 'the day', 'week' => 'the week'] as $span => $says)
                <a href="{{ route('board.paper', ['span' => $span, 'plan' => $board->planId()]) }}"
                    data-paper>{{ $says }}</a>
            @endforeach
        </span>
        <details class="legend">
            <summary>What the shapes mean</summary>
            <p>
                Filled: running. Tinted: released. White: firm. Grey, left of now: done. Striped front: setup. Notched
                copper: will miss its date. Dashed: at a supplier. Thin line: it pauses. Hatched: closed. Broad stripe
                from top to bottom: a night or weekend, folded.
                @unless ($board->isLive())
                    Underlined: moves. Dashed outline: where it stands in the live plan.
                @endunless
            </p>
        </details>
    </div>
    <script type="application/json" id="board-data">@json($data)</script>
</x-layout>
