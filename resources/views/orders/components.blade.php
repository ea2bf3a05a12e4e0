<h2 id="components">Components</h2>
@if ($page->components->isEmpty())
    <div class="none">It takes no component.</div>
@else
    <table class="list">
        <thead>
            <tr>
                <th>Item</th>
                <th class="n">Step</th>
                <th class="n">Needed</th>
                <th class="n">Used</th>
                <th class="n">Allocated</th>
                <th class="n">On hand</th>
                <th>Coming</th>
                <th class="n">Short</th>
                <th>Unit</th>
                <th class="n w2">Planned €</th>
                <th class="n w2">Used €</th>
                <th></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->components as $part)
                <tr>
                    <td>@include('orders.part-name')</td>
                    <td class="n">{{ $part->step }}</td>
                    <td class="n">
                        {{ $print->amount($part->planned) }}
                        @if ($part->isChanged())
                            <span class="soon" title="{{ $part->masterSays() }}">≠</span>
                        @endif
                    </td>
                    <td @class(['n', 'soon' => $part->isOverused()])>
                        {{ $print->some($part->used) }}
                        @if ($part->replaced->isPositive())
                            <span class="sub"
                                title="used of what stands in for it">+{{ $print->amount($part->replaced) }}</span>
                        @endif
                        @if ($part->along->isPositive())
                            <span class="sub" title="with the supplier, not used yet">
                                {{ $print->amount($part->along) }} there</span>
                        @endif
                    </td>
                    <td class="n">
                        {{ $print->some($part->fromStock) }}
                        @if ($part->reserved->isPositive())
                            <span class="sub" title="kept hard for this order">
                                ({{ $print->amount($part->reserved) }} kept)
                            </span>
                        @endif
                    </td>
                    <td class="n">{{ $print->amount($part->onHand) }}</td>
                    <td>@include('orders.coming')</td>
                    <td class="n">
                        @if ($part->missing->isPositive())
                            <a class="behind notched"
                                href="{{ route('shortages.index') }}">{{ $print->amount($part->missing) }}</a>
                        @endif
                    </td>
                    <td>{{ $part->unit }}</td>
                    <td class="n w2">{{ $part->plannedValue ? $print->money($part->plannedValue) : '' }}</td>
                    <td class="n w2">{{ $part->usedValue ? $print->money($part->usedValue) : '' }}</td>
                    <td class="tight">
                        @if ($page->isOpen())
                            @if (Gate::any(['change-order', 'reserve'])
                                || (Gate::allows('purchase') && $page->canBeHad($part)))
                                @include('orders.part-change')
                            @endif
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
@if ($page->reservations->isNotEmpty())
    <p class="mt-1 mb-0">
        Kept hard for this order:
        @foreach ($page->reservations as $kept)
            <x-form class="d-inline" method="delete" :to="route('reservations.destroy', $kept->id)">
                <strong><x-amount :of="$kept->quantity" :unit="$kept->unit" /> {{ $kept->item }}</strong>
                {{ $kept->fromSays() }}
                @can('reserve')
                    <button class="btn btn-quiet btn-small">Give up</button>
                @endcan
            </x-form>{{ $loop->last ? '' : ', ' }}
        @endforeach
    </p>
@endif
@if ($page->deviations->isNotEmpty())
    <x-deviations :of="$page->deviations" />
@endif
