{{-- What would help a late order: tried beside the page, shown as it comes, chosen from when all of it is there. --}}
<div id="levers"
    @if ($page->isUnderWay())
        hx-get="{{ route('late.levers', ['order' => $page->order, 'of' => $page->stamp]) }}"
        hx-trigger="every 700ms" hx-swap="outerHTML"
    @endif>
    @if ($page->hasBrokenOff())
        <p><span class="behind">It broke off before all of it was tried.</span> The log of the server says why.</p>
        @include('late.try-again', ['label' => 'Try them again'])
    @elseif ($page->isUnderWay())
        <p @class(['none' => $page->offers === [], 'lead' => $page->offers !== []]) aria-live="polite">
            {{ $page->progress() }}</p>
    @elseif ($page->offers === [])
        <p class="none">Nothing was found to try: it is not in the plan.</p>
    @endif
    @if ($page->offers !== [])
        <p>
            A search alone, without any lever, would finish it <b>{{ $print->exact($page->alone) }}</b>. Each lever is
            compared with that.
        </p>
        <table class="list">
            <thead>
                <tr>
                    <th>Lever</th>
                    <th>Its finish</th>
                    <th class="n">All lateness</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->offers as $offer)
                    <tr>
                        <td>
                            {{ $offer->says }}
                            @can('see-money')<div class="sub">{{ $offer->costs }}</div>@endcan
                        </td>
                        <td class="tight">
                            {{ $print->exact($offer->finishWith) }}
                            <div class="sub"><span class="{{ $offer->tone() }}">{{ $offer->gainSays() }}</span></div>
                        </td>
                        <td class="n">{{ $offer->latenessSays() }}</td>
                        <td class="tight">
                            @if ($page->canBeChosen())
                                @include('late.lever-deeds')
                            @else
                                <button class="btn btn-quiet btn-small" disabled>Try it as a what-if</button>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($page->canBeChosen())
            <p class="sub">
                Each was tried with the same search on the shop as it was then. Times are elapsed for its finish, open
                hours for all lateness.
            </p>
        @endif
        @if ($page->hasMoved)
            <p>The plan was worked out anew since.</p>
            @include('late.try-again', ['label' => 'Try them on the plan as it is now'])
        @endif
    @endif
</div>
