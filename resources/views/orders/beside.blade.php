{{-- What comes back of the order beside its product: planned, booked, and what is left to book. --}}
<h2>Comes back</h2>
<table class="list back">
    <thead>
        <tr>
            <th>Item</th>
            <th>As</th>
            <th class="n">Planned</th>
            <th class="n">Came</th>
            <th class="n">To come</th>
            <th class="n">Promised</th>
            <th>Unit</th>
            <th>Carries cost</th>
            <th class="n">€ so far</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->beside as $line)
            <tr>
                <td>
                    <a href="{{ route('stock.show', $line->itemId) }}">{{ $line->item }}</a>
                    <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
                </td>
                <td>
                    {{ $line->kind->label() }}@if ($line->scrapped->isPositive()), {{ $print->amount($line->scrapped) }}
                        {{ $line->unit }} of it scrap @endif
                </td>
                <td class="n">
                    {{ $print->amount($line->planned) }}
                    @if ($line->isChanged())
                        <span class="soon" title="the master says {{ $print->amount($line->baseline) }}">≠</span>
                    @endif
                </td>
                <td class="n">{{ $print->some($line->received) }}</td>
                <td class="n">
                    @if ($line->open()->isPositive())
                        <span @class(['soon notched' => ! $page->isOpen()])>{{ $print->amount($line->open()) }}</span>
                    @endif
                </td>
                <td class="n">{{ $print->some($line->promised) }}</td>
                <td>{{ $line->unit }}</td>
                <td>{{ $line->rule->label() }}</td>
                <td class="n">{{ $print->money($line->value) }}</td>
                <td class="tight">
                    @if ($page->isOpen() && Gate::allows('change-order'))
                        <x-more summary="change" :open="$typed($line->form())->isMine()">
                            <x-form method="put" class="actions" :key="$line->form()"
                                :to="route('order-outputs.update', $line->id)">
                                <input type="hidden" name="version" value="{{ $order->version }}">
                                <x-field bare name="quantity" :label="'Comes back of '.$line->item" class="n"
                                    :value="$print->amount($line->planned)" inputmode="decimal" />
                                <button class="btn btn-quiet btn-small">Plan this much</button>
                            </x-form>
                        </x-more>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
@can('receive')
    @if ($page->canComeBack())
        <x-more summary="Book what came back" :open="$typed('back')->isMine()">
            <x-form :to="route('receive.store', $order->id)" key="back" class="actions">
                <input type="hidden" name="quantity" value="0">
                @foreach ($page->beside as $line)
                    <x-field :name="$line->name('quantity')" :field="$line->key('quantity')"
                        :label="$line->unit.' '.$line->item" class="n" inputmode="decimal" />
                    @if ($line->takesCodes())
                        <x-field :name="$line->name('codes')" :field="$line->key('codes')" :label="$line->codesLabel()"
                            size="22" maxlength="20000" />
                    @endif
                @endforeach
                <x-choice name="place_id" label="To" :options="$places" />
                <button class="btn btn-act align-self-end">Book it back</button>
            </x-form>
        </x-more>
    @endif
@endcan
