<x-layout :title="$order->number.': why'">
    <div class="head">
        <h1>
            <a href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
            {{ $print->amount($order->quantity) }} {{ $order->item->name }}
        </h1>
        <a href="{{ route('late.index') }}">all late orders</a>
        <a href="{{ route('board', ['order' => $order->number]) }}">on the board</a>
    </div>
    <p class="lead">
        @if ($why->planned->finishAt === null)
            {{ $why->planned->unplaced }}
        @else
            Finishes {{ $print->exact($why->planned->finishAt) }},
            @if ($why->planned->dueAt !== null)
                due {{ $print->when($why->planned->dueAt) }}:
                <span class="{{ $why->planned->isLate() ? 'behind' : 'good' }}">
                    {{ $print->pace($why->planned->lateMinutes) }}</span>.
            @else
                nobody waits for it.
            @endif
            {{ $why->sentence }}
        @endif
    </p>
    <div class="halves explains">
        <section>
            <h2>From now to its completion</h2>
            @if ($why->rows === [])
                <p class="none">There is nothing to explain: it has no place in the plan.</p>
            @else
                <svg class="why-strip" viewBox="0 0 600 22" preserveAspectRatio="none" role="img"
                    aria-label="The time to its completion by what it goes into; the same is listed below.">
                    @foreach ($why->drawing(600) as $span)
                        <rect class="{{ $span->style }}" x="{{ $span->x }}" y="1" width="{{ $span->width }}"
                            height="20"><title>{{ $span->title }}</title></rect>
                    @endforeach
                </svg>
                <table class="list">
                    <thead>
                        <tr>
                            <th>From</th>
                            <th>To</th>
                            <th class="n">Time</th>
                            <th>Goes into</th>
                            <th>Step</th>
                        </tr>
                    </thead>
                    <tbody>
                        @if ($why->slack() !== null)
                            <tr>
                                <td colspan="2">Time to its date, {{ $print->exact($why->planned->dueAt) }}</td>
                                <td class="n">{{ $why->slackSays() }}</td>
                                <td colspan="2" class="sub">to be taken off</td>
                            </tr>
                        @endif
                        @foreach ($why->rows as $row)
                            <tr>
                                <td class="tight">{{ $print->exact($row->from) }}</td>
                                <td class="tight">{{ $print->exact($row->to) }}</td>
                                <td class="n">{{ $print->elapsed($row->minutes) }}</td>
                                <td><span class="{{ $row->style() }} swatch"></span>{{ $row->says }}</td>
                                <td class="sub">{{ $row->stepSays($order->number) }}</td>
                            </tr>
                        @endforeach
                        <tr>
                            <td colspan="2"><b>From {{ $print->when($why->now) }} to completion</b></td>
                            <td class="n"><b>{{ $print->elapsed($why->total()) }}</b></td>
                            <td colspan="2" class="sub">each minute once</td>
                        </tr>
                        @if ($why->slack() !== null)
                            <tr>
                                <td colspan="2"><b>Less the time to its date</b></td>
                                <td class="n"><b>{{ $why->restSays() }}</b></td>
                                <td colspan="2" class="sub">
                                    by the clock; in the plant's open hours:
                                    {{ $print->pace($why->planned->lateMinutes) }}, a day of
                                    {{ $print->workingDay() }}
                                </td>
                            </tr>
                        @endif
                    </tbody>
                </table>
            @endif
        </section>
        <section>
            <h2>What would help</h2>
            <div id="levers" hx-get="{{ route('late.levers', $order->id) }}" hx-trigger="load" hx-swap="outerHTML">
                <p class="none">Trying each lever on the plan …</p>
            </div>
        </section>
    </div>
</x-layout>
