<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            <th>Item</th>
            <th class="n">Ordered</th>
            <th class="n">Shipped</th>
            <th>Unit</th>
            <th class="n">Price €</th>
            <th>Promised</th>
            <th>Covered</th>
            <th></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->lines as $line)
            <tr>
                <td class="num">{{ $line->position }}</td>
                <td>
                    <a href="{{ route('stock.show', $line->itemId) }}">{{ $line->item }}</a>
                    <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
                </td>
                <td class="n">
                    {{ $print->amount($line->quantity) }}
                    @if ($line->typedSays())
                        <span class="sub">({{ $line->typedSays() }})</span>
                    @endif
                </td>
                <td class="n">{{ $print->amount($line->shipped) }}</td>
                <td>{{ $line->unit }}</td>
                <td class="n">{{ $print->price($line->price) }}</td>
                <td class="tight">{{ $print->day($line->promisedOn) }}</td>
                <td>
                    @foreach ($line->covers as $cover)
                        @if ($cover->address() !== null)
                            <a href="{{ $cover->address() }}" class="tag">{{ $cover->source() }}</a>
                        @endif
                    @endforeach
                    <x-cover :line="$line" />
                    @if ($line->covers->isNotEmpty())
                        <a class="sub" href="{{ route('customer-lines.chain', $line->id) }}">chain</a>
                        @can('see-money')
                            <a class="sub" href="{{ route('customer-lines.cost', $line->id) }}">cost</a>
                        @endcan
                    @endif
                </td>
                <td class="tight">
                    @if ($line->uncovered()->isPositive())
                        @can('promise')
                            <a href="{{ route('promise.index', [
                                'item' => $line->itemNumber,
                                'quantity' => $print->amount($line->uncovered()),
                                'wanted' => $line->promisedOn,
                            ]) }}">When?</a>
                        @endcan
                        @can('cover')
                            <x-form class="d-inline" :to="route('covers.store')">
                                <input type="hidden" name="lines[]" value="{{ $line->id }}">
                                @if ($page->isInStock($line))
                                    <button class="btn btn-act btn-small" name="by" value="stock">From stock</button>
                                @endif
                                <input type="hidden" name="with_parts" value="1">
                                <button class="btn btn-quiet btn-small" name="by" value="order">
                                    {{ $line->isMadeHere() ? 'Make an order' : 'Buy it' }}
                                </button>
                            </x-form>
                        @endcan
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
