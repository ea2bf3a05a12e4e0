{{-- An order that was sent: its lines from ordered to billed, what the supplier says, what can be changed. --}}
<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            <th>Item</th>
            <th class="n">Ordered</th>
            <th>Unit</th>
            <th class="n">In</th>
            <th class="n w2">Sent back</th>
            <th class="n w2">Billed</th>
            <th class="n">To come</th>
            <th class="n">€ each</th>
            <th class="n">€</th>
            <th>Expected</th>
            <th>Orders that wait</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->lines as $line)
            <tr>
                <td class="num tight">{{ $line->number }}</td>
                <td>
                    @include('purchases.line-item')
                    @include('purchases.for')
                </td>
                <td class="n">{{ $line->typed() }}</td>
                <td>{{ $line->typedUnit }} <span class="sub">{{ $line->inStock() }}</span></td>
                <td class="n">{{ $print->some($line->received) }}</td>
                <td class="n w2">{{ $print->some($line->returned) }}</td>
                <td class="n w2">{{ $print->some($line->billed) }}</td>
                <td class="n">{{ $print->some($line->toCome()) }}</td>
                <td class="n">{{ $print->price($line->price) }}</td>
                <td class="n">{{ $print->money($line->cents()) }}</td>
                <td @class(['tight', 'behind notched' => $line->isLate()])>
                    {{ $line->isOpen ? $print->day($line->expectedOn) : $line->ended() }}
                    @if ($line->isOpen && $line->confirmedOn)<span class="sub">confirmed</span>@endif
                </td>
                <td class="cut">
                    @foreach ($page->waiting[$line->number] ?? [] as $order)
                        <a class="num" href="{{ route('orders.show', $order->id) }}">{{ $order->number }}</a>
                    @endforeach
                </td>
                <td class="tight">
                    @if ($line->isWork && $line->isOpen)
                        <a href="{{ route('at-suppliers.index') }}">Book it back</a>
                    @endif
                    @can('goods-in')
                        @if ($page->canGoBack($line))
                            @include('purchases.back')
                        @endif
                    @endcan
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
@foreach ($page->questions as $question)
    <div class="said note d-flex align-items-center gap-2" role="status">
        <span>{{ $print->says($question->says) }}</span>
        <x-over :question="$question" />
    </div>
@endforeach
@foreach ($page->asked() as $line)
    <div class="said note d-flex align-items-center gap-2" role="status">
        <span>
            {{ $line->number }} {{ $line->item }}: the supplier says {{ $print->says($line->answerSays()) }},
            {{ $print->says($line->differenceSays()) }}.
        </span>
        @can('purchase')
            <x-form class="d-flex gap-1 mb-0" method="put" :key="'settle-'.$line->id"
                :to="route('purchase-lines.settle', $line->id)">
                <button class="btn btn-act btn-small" name="holds" value="theirs">Take it so</button>
                <button class="btn btn-quiet btn-small" name="holds" value="ours">As we ordered it</button>
            </x-form>
        @endcan
    </div>
@endforeach
@can('purchase')
    @if ($page->canBeSent())
        @include('purchases.send')
    @endif
    @if ($page->canBeAnswered())
        <x-more summary="Type what the supplier says"
            :open="$typed('answer')->isMine() || ! $page->order->confirmed_on">
            <x-form key="answer" :to="route('purchase-orders.answer', $page->order->id)">
                <input type="hidden" name="version" value="{{ $page->order->version }}">
                @include('purchases.typed-lines', ['day' => 'Comes'])
                <div class="actions align-items-end">
                    <x-field name="reference" label="Their number of it" size="18" maxlength="60"
                        :value="$page->order->supplier_reference" />
                    <button class="btn btn-act">That is what they say</button>
                    <span class="sub">A day is taken at once; another quantity or price is asked about.</span>
                </div>
            </x-form>
        </x-more>
    @endif
    @if ($page->canBeChanged())
        <x-more summary="Change it" :open="$typed('lines')->isMine()">
            <x-form method="put" key="lines" :to="route('purchase-orders.update', $page->order->id)">
                <input type="hidden" name="version" value="{{ $page->order->version }}">
                @include('purchases.typed-lines', ['day' => 'Wanted'])
                <div class="actions align-items-end">
                    <x-field name="note" label="Said to the supplier" size="40" maxlength="500"
                        :value="$page->order->note" />
                    <x-field name="reason" list="reasons-change" label="Why" size="20" maxlength="200" />
                    <button class="btn btn-quiet">Change it</button>
                    <span class="sub">A quantity of 0 takes out what has not come.</span>
                </div>
            </x-form>
        </x-more>
        @include('purchases.end')
    @endif
@endcan
