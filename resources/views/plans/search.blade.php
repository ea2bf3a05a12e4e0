{{-- The last search: how far it is, asked again while it runs, or what it came to. --}}
<div id="search" aria-live="polite"
    @if ($search?->isUnderWay())
        hx-get="{{ route('plans.index') }}" hx-trigger="every 700ms" hx-select="#search" hx-swap="outerHTML"
    @endif>
    @if ($search?->isUnderWay())
        <div class="actions">
            <progress max="{{ $search->seconds }}" value="{{ $search->ran }}" aria-label="Search"></progress>
            <span class="figures">{{ $search->progress() }}</span>
            <a href="{{ route('plans.watch', $search->id) }}">Watch it, stop it</a>
        </div>
    @elseif ($search?->isBroken())
        <p class="said not">The last search broke off; nothing was changed. The log says why.</p>
    @elseif ($search?->planId !== null)
        <p class="said did">
            <span>
                {{ $search->found() }}
                <a href="{{ route('plans.watch', $search->id) }}">Look at what it found</a>
            </span>
        </p>
    @elseif ($search !== null)
        <p class="said note"><span>{{ $search->foundNothing() }}</span></p>
    @endif
</div>
