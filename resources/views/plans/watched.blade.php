{{-- A search while it runs, asked again and again, and what it came to. --}}
<div id="watch"
    @if ($page->search->isUnderWay())
        hx-get="{{ route('plans.watch', $page->search->id) }}" hx-trigger="every 700ms" hx-select="#watch"
        hx-swap="outerHTML"
    @endif>
    <p class="lead" aria-live="polite">
        @if ($page->search->isBroken())
            <span class="behind">It broke off; nothing was changed.</span> The log of the server says why.
        @elseif ($page->search->isUnderWay())
            {{ $page->search->progress() }}
        @elseif ($page->search->planId === null)
            {{ $page->search->foundNothing() }}
        @else
            {{ $page->search->found() }}
        @endif
    </p>
    @include('plans.broken', ['broken' => $page->broken])
    @if ($page->againstRank !== '')
        <p class="said note">{{ $page->againstRank }}</p>
    @endif
    @if ($page->gain() !== '')
        <p class="gain {{ $page->search->isUnderWay() ? '' : 'good' }}">{{ $page->gain() }}</p>
    @endif
    <div class="actions">
        @if ($page->search->isUnderWay())
            <progress max="{{ $page->search->seconds }}" value="{{ $page->search->ran }}"
                aria-label="Time searched"></progress>
            @can('plan')
                <form method="post" action="{{ route('plans.stop', $page->search->id) }}">
                    @csrf
                    <button class="btn btn-act btn-small">Stop and take the best so far</button>
                </form>
            @endcan
        @elseif ($page->search->planId !== null)
            <a class="btn btn-act" href="{{ route('board', ['plan' => $page->search->planId, 'moved' => 1]) }}">
                See on the board what moves</a>
            <a class="btn btn-quiet" href="{{ route('plans.show', $page->search->planId) }}">
                Compare with the live plan, let it go live</a>
        @elseif ($page->needsCures())
            <a class="btn btn-act" href="{{ route('late.index') }}">Why each is late, and what would help</a>
        @endif
    </div>
    <div class="halves">
        <section>
            <h2>How the cost fell</h2>
            <svg class="course" viewBox="0 0 {{ $page->course::WIDTH }} {{ $page->course::HEIGHT }}" role="img"
                aria-label="From {{ $page->course->top }} to {{ $page->course->bottom }} in {{ $page->search->ran }} s">
                @foreach ($page->course->lines as $line)
                    <polyline points="{{ $line }}" />
                @endforeach
                <text x="4" y="20">{{ $page->course->top }}</text>
                <text class="least" x="{{ $page->course::WIDTH }}" y="{{ $page->course::HEIGHT }}" dx="-4" dy="-14">
                    {{ $page->course->bottom }}</text>
            </svg>
            <p class="sub">
                Open hours late, an order of a more important customer counting more{{ $page->search->whatCounts() }};
                a line for each search that runs beside the others, {{ $page->search->seconds }} s across.
            </p>
        </section>
        <section>
            <h2>Who is late: {{ $page->lateBefore() }} before, {{ $page->lateNow() }} with the best so far</h2>
            @if ($page->late->isEmpty())
                <p class="none">Nobody, before or now.</p>
            @else
                @include('plans.late-table', ['late' => $page->late, 'before' => 'Before', 'after' => 'Now'])
            @endif
        </section>
    </div>
</div>
