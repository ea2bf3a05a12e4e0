<x-layout title="Standard costs">
    <div class="head">
        <h1>Standard costs</h1>
        <span class="say">
            {{ $print->count(count($list->differing), 'item would cost', 'items would cost', 'no item would cost') }}
            something else if it were worked out today{{ $list->rightSays() }}.
        </span>
    </div>
    <form class="filters" action="{{ route('standards.index') }}">
        <x-choice name="category" label="Category" :options="$categories" :value="$filter->category" data-send />
    </form>
    @if ($list->differing === [])
        <div class="none">All standard costs are what they would be.</div>
    @else
        <x-form :to="route('standards.store')" key="standards">
            <table class="list typed level">
                <thead>
                    <tr>
                        <th></th>
                        <th>Item</th>
                        <th></th>
                        <th class="n">Costs, €</th>
                        <th class="n">Would cost, €</th>
                        <th class="n"></th>
                        <th class="n">On hand</th>
                        <th></th>
                        <th class="n">Worth, €</th>
                        <th class="n">Would be worth more, €</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($list->differing as $row)
                        @include('stock.standard-row')
                    @endforeach
                </tbody>
                <tfoot>
                    <tr>
                        <td colspan="9">All of them</td>
                        <td class="n">{{ $print->money($list->total()) }}</td>
                    </tr>
                </tfoot>
            </table>
            @if ($list->more > 0)<p class="sub">{{ $list->more }} more differ: narrow the list.</p>@endif
            @can('value')
                <div class="actions align-items-end">
                    <x-day name="booked_on" label="From, if not today" />
                    <x-field name="reason" label="Why" size="28" maxlength="200" />
                    <button class="btn btn-act">Take those that are ticked</button>
                </div>
            @endcan
        </x-form>
    @endif
    @foreach ($list->none as $why => $items)
        <p class="sub">{{ ucfirst($why) }}: {{ implode(', ', $items) }}.</p>
    @endforeach
    @if ($list->coming !== [])
        <h2>To be taken</h2>
        <table class="list">
            <tbody>
                @foreach ($list->coming as $coming)
                    <tr>
                        <td class="tight">
                            <a href="{{ route('bookings.show', $coming->booking) }}">
                                {{ $print->day($coming->from) }}
                            </a>
                        </td>
                        <td>
                            {{ $print->count($coming->items, 'item', 'items') }}: {{ $coming->reason }}
                            @if ($coming->refused !== '')
                                <span class="behind notched">not taken: {{ $coming->refused }}</span>
                            @endif
                        </td>
                        <td class="cut">{{ $coming->person }}</td>
                        <td class="tight">
                            @can('value')
                                <x-form class="mb-0" method="delete" :key="'drop-'.$coming->id"
                                    :to="route('standards.drop', $coming->id)">
                                    <button class="btn btn-quiet btn-small">Do not take them</button>
                                </x-form>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($list->taken->isNotEmpty())
        <h2>Taken before</h2>
        <table class="list">
            <tbody>
                @foreach ($list->taken as $taken)
                    <tr>
                        <td class="tight">
                            <a href="{{ route('bookings.show', $taken->id) }}">{{ $print->day($taken->bookedOn) }}</a>
                        </td>
                        <td>{{ $print->says($taken->says) }}</td>
                        <td class="cut">{{ $taken->person }}</td>
                        <td class="tight">
                            @can('value')
                                @if ($taken->canGoBack())
                                    <x-more summary="take back" :open="old('form') === 'back-'.$taken->id">
                                        <x-form class="actions" method="delete" :key="'back-'.$taken->id"
                                            :to="route('standards.destroy', $taken->id)">
                                            <x-field bare name="reason" label="Why" placeholder="why" maxlength="200" />
                                            <button class="btn btn-quiet btn-small">Take back</button>
                                        </x-form>
                                    </x-more>
                                @endif
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
