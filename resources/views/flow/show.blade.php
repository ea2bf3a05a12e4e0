<x-layout :title="'Coming and going of '.$page->item->number" data-plan>
    <div class="head">
        <h1>{{ $page->item->number }} · {{ $page->item->name }}</h1>
        <span class="say">
            <span @class(['behind' => $page->flow->short, 'soon' => ! $page->flow->short && $page->flow->below])>
                {{ $page->says() }}</span>
            {{ $page->cure() }}
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('stock.show', $page->item->id) }}">On hand</a>
        <a href="{{ route('items.show', $page->item->id) }}">Item</a>
        <a href="{{ route('shortages.index') }}">Shortages</a>
    </div>
    @include('flow.drawing')
    <table class="list">
        <thead>
            <tr>
                <th>When</th>
                <th>What</th>
                <th></th>
                <th class="n">Comes</th>
                <th class="n">Goes</th>
                <th class="n">Then there</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->past as $move)
                <tr class="sub">
                    <td class="tight">
                        <a href="{{ route('bookings.show', $move->bookingId) }}">
                            {{ $print->exact($move->enteredAt) }}
                        </a>
                    </td>
                    <td>
                        {{ $print->kind($move->kind) }}
                        {{ $move->order ?? $move->customerOrder ?? $move->purchase }}
                    </td>
                    <td>{{ $move->from }} to {{ $move->to }}</td>
                    <td class="n">{{ $move->signed->isPositive() ? $print->amount($move->signed) : '' }}</td>
                    <td class="n">
                        {{ $move->signed->isNegative() ? $print->amount($move->signed->negated()) : '' }}
                    </td>
                    <td class="n">{{ $print->amount($move->onHand) }}</td>
                </tr>
            @endforeach
            <tr class="now">
                <td class="tight"><strong>now</strong></td>
                <td colspan="4">{{ $page->nowSays() }}</td>
                <td class="n"><strong>{{ $print->amount($page->flow->start) }}</strong></td>
            </tr>
            @foreach ($page->flow->rows as $i => $row)
                <tr>
                    <td class="tight">{{ $print->exact($row->event->at) }}</td>
                    <td><a href="{{ $page->lines[$i]->to }}">{{ $page->lines[$i]->document }}</a></td>
                    <td class="cut">{{ $page->lines[$i]->says }}</td>
                    <td class="n">{{ $row->event->isComing() ? $print->amount($row->event->quantity) : '' }}</td>
                    <td class="n">
                        {{ $row->event->isComing() ? '' : $print->amount($row->event->quantity->negated()) }}
                    </td>
                    <td @class([
                        'n',
                        'behind notched' => $row->after->isNegative(),
                        'soon' => ! $row->after->isNegative() && $row->after->isLessThan($page->flow->safety),
                    ])>{{ $print->amount($row->after) }}</td>
                </tr>
            @endforeach
            @foreach ($page->undated as $line)
                <tr class="sub">
                    <td class="tight">no date</td>
                    <td><a href="{{ $line->to }}">{{ $line->document }}</a></td>
                    <td class="cut">{{ $line->says }}</td>
                    <td class="n">{{ $line->event->isComing() ? $print->amount($line->event->quantity) : '' }}</td>
                    <td class="n">
                        {{ $line->event->isComing() ? '' : $print->amount($line->event->quantity->negated()) }}
                    </td>
                    <td class="n">not counted</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
