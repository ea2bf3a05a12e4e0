<h2>Steps</h2>
@if ($page->steps->isEmpty())
    <div class="none">{{ $page->noStepsSay() }}</div>
@else
<table class="list">
    <thead>
        <tr>
            <th>Step</th>
            <th>At</th>
            <th class="n">Minutes</th>
            <th class="n w2">Booked</th>
            <th class="n w2">In</th>
            <th class="n">To do</th>
            <th class="n">Good</th>
            <th class="n">Scrap</th>
            <th class="n">Passed on</th>
            <th>Planned</th>
            @if ($page->isOpen())
                <th></th>
            @endif
        </tr>
    </thead>
    <tbody>
        @foreach ($page->steps as $step)
            <tr>
                <td>
                    <span class="num">{{ $step->number }}</span> {{ $step->name }}
                    @if ($step->isRunning())
                        <span class="tag running">running</span>
                    @endif
                    @if ($step->sharedSetup !== null)
                        <a class="sub" href="{{ route('set-ups.index') }}">
                            set up with others, pays {{ $print->minutes($step->sharedSetup) }}</a>
                    @endif
                </td>
                <td>
                    @if ($step->isOutside())
                        <span class="outside">{{ $step->supplier }}</span>
                        @if ($step->service !== null)<span class="sub">{{ $step->service }}</span>@endif
                        <x-work :of="$page->workOf($step)" />
                        @if ($page->canOrderWork($step))
                            @can('purchase')
                                <x-order-work :steps="[$step->id]" :form="'work-'.$step->id">
                                    Order the work
                                </x-order-work>
                            @endcan
                        @endif
                    @else
                        <a href="{{ route('station.show', $step->workCentreId) }}">{{ $step->workCentre }}</a>
                    @endif
                </td>
                <td class="n" title="{{ $step->masterSays() }}">
                    @if ($step->isOutside())
                        {{ $step->daysAway }} days
                    @else
                        {{ $print->minutes($step->plannedMinutes) }}
                        @if ($step->isChanged())
                            <span class="soon">≠</span>
                        @endif
                    @endif
                </td>
                <td class="n w2">{{ $step->bookedMinutes > 0 ? $print->minutes($step->bookedMinutes) : '' }}</td>
                <td class="n w2">{{ $print->some($step->takenIn) }}</td>
                <td class="n">{{ $print->some($step->toDo()) }}</td>
                <td class="n">{{ $print->some($step->good) }}</td>
                <td class="n">{{ $print->some($step->scrap) }}</td>
                <td class="n">{{ $print->some($step->passedOn) }}</td>
                <td class="tight">
                    @if ($step->handfuls !== [])
                        <div class="d-flex gap-1">
                            back <div><x-back :handfuls="$step->handfuls" :unit="$order->unit" /></div>
                        </div>
                    @elseif ($step->startAt)
                        {{ $print->span($step->startAt, $step->endAt) }}
                    @endif
                </td>
                @if ($page->isOpen())
                    <td>
                        @can('change-order')
                            @include('orders.step-change')
                        @endcan
                    </td>
                @endif
            </tr>
        @endforeach
    </tbody>
</table>
@endif
