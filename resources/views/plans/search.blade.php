@php($runs = $search !== null && in_array($search->state, ['waiting', 'running'], true))
<div id="search" aria-live="polite" @if ($runs) hx-get="{{ route('plans.index') }}" hx-trigger="every 700ms" hx-select="#search" hx-swap="outerHTML" @endif>
@if ($search !== null)
    @if ($runs)
        <div class="actions"><progress max="{{ $search->seconds }}" value="{{ $search->ran }}" aria-label="Search"></progress>
            <span class="figures">{{ $search->state === 'waiting' ? 'The search waits for its turn.' : number_format($search->ran, 1).' of '.$search->seconds.' s, '.number_format($search->iterations, 0, '.', "\u{202F}").' tries. All lateness '.number_format($search->cost_before / 60, 1, '.', "\u{202F}").' h, best found '.number_format($search->cost / 60, 1, '.', "\u{202F}").' h'.($search->moved_weight > 0 ? ', what moved steps count among it.' : '.') }}</span>
            @can('plan')<form method="post" action="{{ route('plans.stop', $search->id) }}">@csrf<button class="btn btn-quiet btn-small">Stop and take the best so far</button></form>@endcan</div>
    @elseif ($search->state === 'failed')
        <p class="said not">The last search broke off; nothing was changed. The log says why.</p>
    @elseif ($search->plan_id !== null)
        <p class="said did"><span>The search of {{ $search->person }} {{ $search->state === 'stopped' ? 'was stopped' : 'is done' }} after {{ number_format($search->ran, 1) }} s: from {{ number_format($search->cost_before / 60, 1, '.', "\u{202F}") }} to {{ number_format($search->cost / 60, 1, '.', "\u{202F}") }} open hours late{{ $search->moved_weight > 0 ? ', what moved steps count among it' : '' }}, {{ number_format($search->iterations, 0, '.', "\u{202F}") }} tries. <a href="{{ route('plans.show', $search->plan_id) }}">Look at what it found</a></span></p>
    @elseif (in_array($search->state, ['done', 'stopped'], true))
        <p class="said note"><span>No better plan found in {{ number_format($search->ran, 1) }} s, {{ number_format($search->iterations, 0, '.', "\u{202F}") }} tries, seed {{ $search->seed }}. The plan stays as it is.</span></p>
    @endif
@endif
</div>
